import { CoreError } from '@zeitpunkt/core/errors';
import { readStage, writeStage } from '@zeitpunkt/core/formats/stored';
import type { StageState } from '@zeitpunkt/core/scene/stage-state';
import type { Elsewhere } from './next-frame';
import isShownStage from '../../generated/shown-stage';
import { deviceStore } from './device-store';

/** Between the place where dials are built and the window that shows them, in one browser: at once, with no server between. */
const NAME = 'zeitpunkt-show';

/** What is shown last, so that a window loaded anew has it even when the other one is closed. */
const KEPT = 'zeitpunkt-show';
const device = deviceStore();
const KEEP_AFTER_MS = 200;

/** A window that has just opened asks for what is shown now. */
const ASK = 'what is shown?';

/** A building window that has just opened asks whether anybody shows; a window that shows answers by asking for the stage. */
const CALL = 'does anybody show?';

/** A building window that is minimised gets no frames of its own: it asks for one of the window that shows, and is told. */
const FRAME_WANTED = 'a frame, please';
const FRAME = 'a frame';

export interface ShowSender {
  show(stage: StageState): void;
  /** Waits for a frame of a window that shows, while this one is hidden. */
  readonly frame: Elsewhere;
  close(): void;
}

export function showSender(): ShowSender {
  const channel = new BroadcastChannel(NAME);
  let last: StageState | null = null;
  let keeping = false;
  let waiting: (() => void) | null = null;
  let shown = false;
  channel.onmessage = ({ data }: MessageEvent<unknown>) => {
    if (data === ASK) {
      shown = true;
      if (last) channel.postMessage(last);
    }
    if (data === FRAME) waiting?.();
  };
  channel.postMessage(CALL);
  // One timer for many moves of a hand: a new one for each would cost a part of every frame.
  const keepWhenStill = (stage: StageState) => {
    keeping = true;
    setTimeout(() => {
      if (last !== stage && last) return keepWhenStill(last);
      keeping = false;
      device.set(KEPT, writeStage(stage));
    }, KEEP_AFTER_MS);
  };
  return {
    show(stage) {
      last = stage;
      if (shown) channel.postMessage(stage); // copying a stage costs a part of every frame
      if (!keeping) keepWhenStill(stage);
    },
    frame(work) {
      if (document.hidden) {
        waiting = work;
        channel.postMessage(FRAME_WANTED);
      }
      return () => (waiting = null);
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
  const kept = keptStage();
  if (kept) heard(kept);
  channel.onmessage = ({ data }: MessageEvent<unknown>) => {
    if (data === CALL) channel.postMessage(ASK);
    else if (data === FRAME_WANTED) requestAnimationFrame(() => channel.postMessage(FRAME));
    else hear(data);
  };
  channel.postMessage(ASK);
  return () => channel.close();
}

/** What was shown last, of whatever version; null where there is nothing that can be read. */
function keptStage(): StageState | null {
  const kept = device.get(KEPT);
  try {
    return kept === null ? null : readStage(kept, (data) => (isShownStage(data) ? null : 'is not as expected'));
  } catch (error) {
    if (error instanceof CoreError) return null; // shown again as soon as something is built
    throw error;
  }
}
