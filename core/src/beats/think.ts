import { talkOf } from '../talk/registry.js';
import { kindOf } from '../question-kinds/registry.js';
import type { BeatKind } from './beat-kind.js';

/** Think time for an item that was asked; responses stay open. */
export interface ThinkBeat {
  readonly kind: 'think';
  readonly itemId: string;
  /** Planned think time in seconds, 3 to 300. */
  readonly seconds: number;
  readonly text: string;
  /** No countdown: "stop here", as a recording says. */
  readonly stops?: true;
}

export const thinkBeat: BeatKind<ThinkBeat> = {
  name: 'Think',
  does: 'ask',
  durationMs: (beat) => beat.seconds * 1000,
  narration: (beat) => beat.text,
  keeps: [],
  at(_before, beat, elapsedMs, { itemOf, settings }) {
    const item = itemOf(beat.itemId);
    const totalMs = beat.seconds * 1000;
    const leftMs = Math.min(totalMs, Math.max(0, totalMs - elapsedMs));
    const asked = kindOf(item).asked(item, settings);
    return beat.stops ? { ...asked, board: [...asked.board, talkOf(settings).stopHere] } : { ...asked, countdown: { totalMs, leftMs } };
  },
  motionMs: (beat) => (beat.stops ? 0 : beat.seconds * 1000),
};
