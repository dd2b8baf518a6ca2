import type { LessonSettings } from '../lesson/settings.js';
import type { AnswerBeat } from './answer.js';
import { answerBeat } from './answer.js';
import type { AskBeat } from './ask.js';
import { askBeat } from './ask.js';
import type { BeatContext, BeatDoes, BeatKind } from './beat-kind.js';
import type { ChartBeat } from './chart.js';
import { chartBeat } from './chart.js';
import type { DailyCardBeat, DailyCardStep } from './daily-card.js';
import { dailyCard, dailyCardBeat } from './daily-card.js';
import type { ExpandedStep, ExpandingKind } from './expanding-kind.js';
import type { LayersBeat } from './layers.js';
import { layersBeat } from './layers.js';
import type { MarkBeat } from './mark.js';
import { markBeat } from './mark.js';
import type { MissingHandBeat } from './missing-hand.js';
import { missingHand } from './missing-hand.js';
import type { MistakeBeat } from './mistake.js';
import { mistake } from './mistake.js';
import type { PossibleBeat } from './possible.js';
import { possible } from './possible.js';
import type { SayBeat } from './say.js';
import { sayBeat } from './say.js';
import type { SetBeat } from './set.js';
import { setBeat } from './set.js';
import type { ShowBeat } from './show.js';
import { showBeat } from './show.js';
import type { SweepBeat } from './sweep.js';
import { sweepBeat } from './sweep.js';
import type { TaskBeat } from './task.js';
import { taskBeat } from './task.js';
import type { ThinkBeat } from './think.js';
import { thinkBeat } from './think.js';
import type { VerseBeat } from './verse.js';
import { verse, verseBeat } from './verse.js';
import type { WorkedExampleBeat } from './worked-example.js';
import { workedExample } from './worked-example.js';

/** Every kind of beat that plays, by its id. Ids stand in lesson files: add, never rename or reuse. */
export const BEAT_KINDS = {
  say: sayBeat,
  set: setBeat,
  show: showBeat,
  sweep: sweepBeat,
  layers: layersBeat,
  mark: markBeat,
  ask: askBeat,
  think: thinkBeat,
  answer: answerBeat,
  chart: chartBeat,
  task: taskBeat,
  verse: verseBeat,
  'daily-card': dailyCardBeat,
} as const;

/** Every kind of beat that is one line in a lesson and several steps on the stage. */
export const EXPANDING_KINDS = {
  'worked-example': workedExample,
  mistake,
  possible,
  'missing-hand': missingHand,
  verse,
  'daily-card': dailyCard,
} as const;

/** A beat as it plays, one point the teacher moves on to. */
export type PlayBeat =
  | SayBeat
  | SetBeat
  | ShowBeat
  | SweepBeat
  | LayersBeat
  | MarkBeat
  | AskBeat
  | ThinkBeat
  | AnswerBeat
  | ChartBeat
  | TaskBeat
  | VerseBeat
  | DailyCardStep;

type ExpandingBeat = WorkedExampleBeat | MistakeBeat | PossibleBeat | MissingHandBeat | VerseBeat | DailyCardBeat;

/** What every beat of a lesson carries, whatever its kind. */
export interface BeatBase {
  /** Unique within the lesson; it stays with the beat for good, however the lesson is edited: stored places name it. */
  readonly id: string;
  /** The teacher's note to self: seen on the console, never by pupils. */
  readonly note?: string;
  /** How long it takes, in seconds, where the teacher or a rehearsal knows better than the plan. */
  readonly plannedSec?: number;
}

/** A beat as it stands in a lesson: a beat that plays, or one that expands to several. */
export type Beat = (Exclude<PlayBeat, DailyCardStep> | ExpandingBeat) & BeatBase;

/** A beat that has no id yet. */
export type NewBeat = Beat extends infer B ? (B extends Beat ? Omit<B, 'id'> : never) : never;

export type BeatKindId = Beat['kind'];

/** The kind of a beat as a record over the union: a beat finds its own kind by its `kind`, which the compiler cannot follow. */
export function beatKindOf(beat: PlayBeat): BeatKind<PlayBeat> {
  return BEAT_KINDS[beat.kind] as unknown as BeatKind<PlayBeat>;
}

const expandingKindOf = ({ kind }: { readonly kind: string }) =>
  Object.hasOwn(EXPANDING_KINDS, kind)
    ? (EXPANDING_KINDS[kind as keyof typeof EXPANDING_KINDS] as unknown as ExpandingKind<unknown, PlayBeat>)
    : null;

/** A beat by the name of each of its steps: itself, or what it expands to. @throws CoreError LESSON_MISTAKE_NONE */
export function expandBeat(beat: Beat, settings: LessonSettings): readonly ExpandedStep<PlayBeat>[] {
  return expandingKindOf(beat)?.expand(beat, settings) ?? [{ step: 'beat', beat: beat as PlayBeat }];
}

/** A beat in a few words, for lists: "Worked example, 7:40". */
export function nameOfBeat(beat: Beat, settings: LessonSettings): string {
  const about = (expandingKindOf(beat) ?? beatKindOf(beat as PlayBeat)).about?.(beat as never, settings);
  return about ? `${nameOfKind(beat.kind)}, ${about}` : nameOfKind(beat.kind);
}

/** A kind of beat by its name. */
export function nameOfKind(kind: BeatKindId): string {
  return (BEAT_KINDS as Record<string, { name: string }>)[kind]?.name ?? EXPANDING_KINDS[kind as keyof typeof EXPANDING_KINDS].name;
}

/** What beats of a kind are for in a lesson. */
export function doesOf(kind: BeatKindId): BeatDoes {
  return (EXPANDING_KINDS as Record<string, { does: BeatDoes }>)[kind]?.does ?? BEAT_KINDS[kind as keyof typeof BEAT_KINDS].does;
}

export type { BeatContext, BeatDoes };
