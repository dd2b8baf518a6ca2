import { narrationMs } from '../lesson/settings.js';
import type { DialMark } from '../scene/dial-state.js';
import { displayOf } from '../scene/stage-state.js';
import { marksInWords } from './about-dial.js';
import type { BeatKind } from './beat-kind.js';

/** Points at something on the dial and, if wanted, writes on the display, the word lines or the board. */
export interface MarkBeat {
  readonly kind: 'mark';
  readonly marks: readonly DialMark[];
  readonly text: string;
  /** A line added to the board. */
  readonly board?: string;
  /** What is filled in beside the dial. */
  readonly write?: { readonly hour?: string; readonly minute?: string; readonly words?: readonly string[] };
}

/** Pace of a count round the dial: one number each 0.7 s, slow enough to say them aloud. */
const COUNT_STEP_MS = 700;

function countMs(beat: MarkBeat): number {
  const steps = beat.marks.map((mark) => (mark.type === 'count' ? Math.ceil(mark.toMinute / mark.by) : 0));
  return Math.max(0, ...steps) * COUNT_STEP_MS;
}

/** A count grows from nothing to its minute; every other mark is there at once. */
function grown(mark: DialMark, elapsedMs: number): DialMark {
  if (mark.type !== 'count') return mark;
  const toMinute = Math.min(mark.toMinute, Math.floor(elapsedMs / COUNT_STEP_MS) * mark.by);
  return { ...mark, toMinute };
}

export const markBeat: BeatKind<MarkBeat> = {
  name: 'Mark',
  does: 'show',
  about: ({ marks }) => marksInWords(marks),
  durationMs: (beat, { settings }) => Math.max(narrationMs(beat.text, settings), countMs(beat)) + 800,
  narration: (beat) => beat.text,
  motionMs: (beat) => countMs(beat),
  keeps: ['dial', 'dials', 'dialPlace', 'bands', 'display', 'words', 'board'],
  at(before, beat, elapsedMs, { settings }) {
    const counted = elapsedMs >= countMs(beat);
    const write = counted ? beat.write : undefined; // the result is written when the count has reached it
    const display = write?.hour || write?.minute ? (before.display ?? displayOf(null, null, settings.separator)) : before.display;
    return {
      ...before,
      dial: before.dial && { ...before.dial, marks: beat.marks.map((mark) => grown(mark, elapsedMs)) },
      display: display && { ...display, hour: write?.hour ?? display.hour, minute: write?.minute ?? display.minute },
      words: write?.words ?? before.words,
      board: beat.board && counted ? [...before.board, beat.board] : before.board,
    };
  },
};
