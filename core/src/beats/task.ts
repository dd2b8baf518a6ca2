import { talkOf } from '../talk/registry.js';
import type { BeatKind } from './beat-kind.js';

/** Something to do on paper, with the sheet it belongs to and a way round for homes without a printer. */
export interface TaskBeat {
  readonly kind: 'task';
  /** What the sheet is called. */
  readonly sheet: string;
  readonly text: string;
  /** What to do without the sheet; empty where nothing else is needed. */
  readonly withoutPrinter: string;
  /** Planned time for it in seconds, 10 to 1200. */
  readonly seconds: number;
}

export const taskBeat: BeatKind<TaskBeat> = {
  name: 'On paper',
  does: 'paper',
  durationMs: (beat) => beat.seconds * 1000,
  narration: (beat) => [beat.text, beat.withoutPrinter].filter(Boolean).join(' '),
  keeps: ['dial', 'dials', 'dialPlace'],
  at(before, beat, elapsedMs, { settings }) {
    const totalMs = beat.seconds * 1000;
    const leftMs = Math.min(totalMs, Math.max(0, totalMs - elapsedMs));
    const { noPrinter } = talkOf(settings);
    return {
      ...before,
      stem: beat.sheet,
      board: [beat.text, ...(beat.withoutPrinter ? [`${noPrinter} ${beat.withoutPrinter}`] : [])],
      countdown: { totalMs, leftMs },
    };
  },
  motionMs: (beat) => beat.seconds * 1000,
};
