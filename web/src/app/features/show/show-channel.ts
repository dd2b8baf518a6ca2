import type { StageState } from '@zeitpunkt/core';
import isShownStage from '../../../generated/shown-stage';

/** Between the place where dials are built and the window that shows them, in one browser: at once, with no server between. */
const NAME = 'zeitpunkt-show';

/** What is shown last, so that a window loaded anew has it even when the other one is closed. */
const KEPT = 'zeitpunkt-show';
const KEEP_AFTER_MS = 200;

/** A window that has just opened asks for what is shown now. */
const ASK = 'what is shown?';

export interface ShowSender {
  show(stage: StageState): void;
  close(): void;
}

export function showSender(): ShowSender {
  const channel = new BroadcastChannel(NAME);
  let last: StageState | null = null;
  let keep = 0;
  channel.onmessage = ({ data }: MessageEvent<unknown>) => {
    if (data === ASK && last) channel.postMessage(last);
  };
  return {
    show(stage) {
      last = stage;
      channel.postMessage(stage);
      clearTimeout(keep);
      keep = window.setTimeout(() => localStorage.setItem(KEPT, JSON.stringify(stage)), KEEP_AFTER_MS);
    },
    close: () => channel.close(),
  };
}

/** Listens; what was shown last comes first, then what the other window shows now. */
export function listenToShow(heard: (stage: StageState) => void): () => void {
  const channel = new BroadcastChannel(NAME);
  const hear = (stage: unknown) => {
    if (isShownStage(stage)) heard(stage); // one of another version is not shown
  };
  const kept = localStorage.getItem(KEPT);
  if (kept) hear(JSON.parse(kept));
  channel.onmessage = ({ data }: MessageEvent<unknown>) => hear(data);
  channel.postMessage(ASK);
  return () => channel.close();
}
