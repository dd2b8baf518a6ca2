import type { AnswerBeat } from './answer.js';
import { answerBeat } from './answer.js';
import type { AskBeat } from './ask.js';
import { askBeat } from './ask.js';
import type { BeatContext, BeatKind } from './beat-kind.js';
import type { MarkBeat } from './mark.js';
import { markBeat } from './mark.js';
import type { SayBeat } from './say.js';
import { sayBeat } from './say.js';
import type { SetBeat } from './set.js';
import { setBeat } from './set.js';
import type { ShowBeat } from './show.js';
import { showBeat } from './show.js';
import type { SweepBeat } from './sweep.js';
import { sweepBeat } from './sweep.js';
import type { ThinkBeat } from './think.js';
import { thinkBeat } from './think.js';
import type { WorkedExampleBeat } from './worked-example.js';

/** Every kind of beat that plays, by its id. Ids stand in lesson files: add, never rename or reuse. */
export const BEAT_KINDS = {
  say: sayBeat,
  set: setBeat,
  show: showBeat,
  sweep: sweepBeat,
  mark: markBeat,
  ask: askBeat,
  think: thinkBeat,
  answer: answerBeat,
} as const;

/** A beat as it plays, one point the teacher moves on to. */
export type PlayBeat = SayBeat | SetBeat | ShowBeat | SweepBeat | MarkBeat | AskBeat | ThinkBeat | AnswerBeat;

/**
 * A beat as it stands in a lesson: a beat that plays, or one that expands to several. Its id is unique within the lesson
 * and stays with the beat for good, however the lesson is edited: stored places name it.
 */
export type Beat = (PlayBeat | WorkedExampleBeat) & { readonly id: string };

export type BeatKindId = keyof typeof BEAT_KINDS;

/** The kind of a beat as a record over the union: a beat finds its own kind by its `kind`, which the compiler cannot follow. */
export function beatKindOf(beat: PlayBeat): BeatKind<PlayBeat> {
  return BEAT_KINDS[beat.kind] as unknown as BeatKind<PlayBeat>;
}

export type { BeatContext };
