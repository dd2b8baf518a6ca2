import type { StageState } from '@zeitpunkt/core';
import isShownStage from '../../../generated/shown-stage';

/** Between the place where dials are built and the window that shows them, in one browser: at once, with no server between. */
const NAME = 'zeitpunkt-show';

/** What is shown last, so that a window loaded anew has it even when the other one is closed. */
const KEPT = 'zeitpunkt-show';

export interface ShowSender {
  show(stage: StageState): void;
  close(): void;
}

export function showSender(): ShowSender {
  const channel = new BroadcastChannel(NAME);
  let keep = 0;
  return {
    show(stage) {
      channel.postMessage(stage);
      clearTimeout(keep);
      keep = window.setTimeout(() => localStorage.setItem(KEPT, JSON.stringify(stage)), 200);
    },
    close: () => channel.close(),
  };
}

/** Listens; the first thing heard is what was shown last. */
export function listenToShow(heard: (stage: StageState) => void): () => void {
  const channel = new BroadcastChannel(NAME);
  const hear = (stage: unknown) => {
    if (isShownStage(stage)) heard(stage); // one of another version is not shown
  };
  channel.onmessage = ({ data }: MessageEvent<unknown>) => hear(data);
  const kept = localStorage.getItem(KEPT);
  if (kept) hear(JSON.parse(kept));
  return () => channel.close();
}
