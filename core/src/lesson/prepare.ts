import type { BeatContext } from '../beats/beat-kind.js';
import { beatKindOf, expandBeat, type Beat, type BeatKindId, type PlayBeat } from '../beats/registry.js';
import { CoreError } from '../errors.js';
import type { Item } from '../question-kinds/registry.js';
import { dialOf, TEACHING_LAYERS } from '../scene/dial-state.js';
import { CLEAR_STAGE, keepOnStage, type StageState } from '../scene/stage-state.js';
import type { Lesson } from './lesson.js';
import type { StepRef } from './step-ref.js';

/** One point the teacher moves on to: a beat of the lesson, or one step of a beat that expands. */
export interface Step {
  readonly ref: StepRef;
  /** Index of the beat in the lesson, from 0: for showing only, never stored. */
  readonly beatIndex: number;
  /** Place within an expanded beat, from 0, and how many steps it has. */
  readonly stepInBeat: number;
  readonly stepsOfBeat: number;
  readonly beat: PlayBeat;
  /** The kind of the lesson's beat that it belongs to. */
  readonly kind: BeatKindId;
  /** What its beat may look up where it stands. */
  readonly context: BeatContext;
  /** The stage this step begins with: what its beat keeps of the one before. */
  readonly before: StageState;
  /** The same where the answer whose stage is kept must not be seen yet. */
  readonly beforeUnrevealed: StageState;
  /** The item whose answer `before` still shows; null where it shows none. */
  readonly showsAnswerTo: string | null;
  readonly durationMs: number;
  /** Planned start since the beginning of the lesson, in milliseconds. */
  readonly startMs: number;
}

/** A lesson made ready to play: expanded to steps, each with the stage it starts from. */
export interface PreparedLesson {
  readonly lesson: Lesson;
  readonly steps: readonly Step[];
  /** What a beat may look up at the beginning of the lesson. */
  readonly context: BeatContext;
  /** Items that are asked aloud only: devices take no responses to them. */
  readonly aloud: ReadonlySet<string>;
  /** Planned length of the whole lesson in milliseconds. */
  readonly totalMs: number;
}

/** What is seen before anything is shown: a teaching dial at 12. */
const FIRST_STAGE: StageState = { ...CLEAR_STAGE, dial: dialOf({ hourDeg: 0, minuteDeg: 0 }, TEACHING_LAYERS) };

/**
 * Expands a lesson and checks what a schema cannot: beats and items exist once, and each item is asked before it is thought
 * about or answered.
 * @throws CoreError LESSON_MISTAKE_NONE, LESSON_EMPTY, LESSON_BEAT_TWICE, LESSON_ITEM_TWICE, LESSON_ITEM_UNKNOWN, LESSON_BEAT_ORDER
 */
export function prepareLesson(lesson: Lesson): PreparedLesson {
  if (lesson.beats.length === 0) throw new CoreError('LESSON_EMPTY', `The lesson “${lesson.title}” has no beats.`, { title: lesson.title });
  checkBeatIds(lesson);
  const context: BeatContext = { settings: lesson.settings, layers: TEACHING_LAYERS, itemOf: itemFinder(lesson) };
  const aloud = new Set(lesson.beats.flatMap((beat) => (beat.kind === 'ask' && beat.aloud ? [beat.itemId] : [])));
  let here = context;
  const asked = new Set<string>();
  const steps: Step[] = [];
  let after = FIRST_STAGES;
  let startMs = 0;
  lesson.beats.forEach((beat, beatIndex) => {
    checkOrder(beat, beatIndex, asked, context);
    const own = stepsOf({ beat, beatIndex, context: here, after, startMs, aloud });
    steps.push(...own.steps);
    ({ after, startMs } = own);
    if (beat.kind === 'layers' && beat.lasts) here = { ...here, layers: { ...here.layers, ...beat.layers } };
  });
  return { lesson, steps, context, aloud, totalMs: startMs };
}

/** How long a whole lesson takes in milliseconds, without making it ready to play: its stages are most of that work. */
export function totalMsOf(lesson: Lesson): number {
  const context: BeatContext = { settings: lesson.settings, layers: TEACHING_LAYERS, itemOf: itemFinder(lesson) };
  return lesson.beats.reduce((total, beat) => {
    const played = expandBeat(beat, context.settings);
    const stretch = stretchOf(beat, played, context);
    return played.reduce((sum, one) => sum + stepMs(one.beat, context, stretch), total);
  }, 0);
}

/** Nothing to say yet, and it still has a moment of its own: every step can be found on the ruler. */
const stepMs = (beat: PlayBeat, context: BeatContext, stretch: number) =>
  Math.max(1, Math.round(beatKindOf(beat).durationMs(beat, context) * stretch));

/** Two stages go along: one on which every answer was shown, one on which none was. */
interface Stages {
  readonly stage: StageState;
  readonly unrevealed: StageState;
  /** The item whose answer is still shown. */
  readonly showsAnswerTo: string | null;
}

const FIRST_STAGES: Stages = { stage: FIRST_STAGE, unrevealed: FIRST_STAGE, showsAnswerTo: null };

interface BeatPlace {
  readonly beat: Beat;
  readonly beatIndex: number;
  readonly context: BeatContext;
  /** What the beat before left. */
  readonly after: Stages;
  readonly startMs: number;
  readonly aloud: ReadonlySet<string>;
}

/** The steps of a beat where it stands, and what they leave. */
function stepsOf({ beat, beatIndex, context, aloud, ...from }: BeatPlace): { steps: Step[]; after: Stages; startMs: number } {
  let { after, startMs } = from;
  const played = expandBeat(beat, context.settings);
  const stretch = stretchOf(beat, played, context);
  const steps = played.map(({ step, beat: play }, stepInBeat): Step => {
    const kind = beatKindOf(play);
    const durationMs = stepMs(play, context, stretch);
    const before = keepOnStage(after.stage, kind.keeps);
    const beforeUnrevealed = keepOnStage(after.unrevealed, kind.keeps);
    const showsAnswerTo = kind.keeps.length > 0 ? after.showsAnswerTo : null;
    const hidden = withoutAnswer(play);
    after = {
      stage: kind.at(before, play, Infinity, context),
      unrevealed: beatKindOf(hidden).at(beforeUnrevealed, hidden, Infinity, context),
      showsAnswerTo: play.kind === 'answer' && !aloud.has(play.itemId) ? play.itemId : showsAnswerTo,
    };
    const at = { ref: { beatId: beat.id, step }, beatIndex, stepInBeat, stepsOfBeat: played.length, beat: play, kind: beat.kind };
    const made = { ...at, context, before, beforeUnrevealed, showsAnswerTo, durationMs, startMs };
    startMs += durationMs;
    return made;
  });
  return { steps, after, startMs };
}

/**
 * A lesson in which words are being typed, made ready from what it was before the first letter: only beats that were changed
 * are expanded anew, on the stage that they began with, and those after them move along. What later beats keep of a stage that
 * changed is seen once the lesson is prepared as a whole. Where more has changed than words, that is done at once.
 * @throws CoreError as prepareLesson does
 */
export function prepareTyped(before: PreparedLesson, lesson: Lesson): PreparedLesson {
  const was = before.lesson;
  const isSameRow = was.beats.length === lesson.beats.length && lesson.beats.every((beat, index) => isSameBeat(beat, was.beats[index]!));
  if (!isSameRow || was.settings !== lesson.settings) return prepareLesson(lesson);
  const itemOf = itemFinder(lesson);
  const changed = new Set(lesson.items.filter((item, index) => item !== was.items[index]).map(({ id }) => id));
  const steps: Step[] = [];
  let startMs = 0;
  let place = 0;
  for (const [beatIndex, beat] of lesson.beats.entries()) {
    const first = before.steps[place]!;
    const isAsBefore = beat === was.beats[beatIndex] && !('itemId' in beat && changed.has(beat.itemId));
    const { stepsOfBeat } = first;
    const own = before.steps.slice(place, place + stepsOfBeat);
    place += stepsOfBeat;
    if (isAsBefore) {
      for (const step of own) {
        steps.push(step.startMs === startMs ? step : { ...step, startMs });
        startMs += step.durationMs;
      }
      continue;
    }
    const after = { stage: first.before, unrevealed: first.beforeUnrevealed, showsAnswerTo: first.showsAnswerTo };
    const anew = stepsOf({ beat, beatIndex, context: { ...first.context, itemOf }, after, startMs, aloud: before.aloud });
    steps.push(...anew.steps);
    startMs = anew.startMs;
  }
  return { ...before, lesson, steps, context: { ...before.context, itemOf }, totalMs: startMs };
}

/** Whether two beats differ in no more than what is said and shown within them. */
function isSameBeat(one: Beat, other: Beat): boolean {
  if (one === other) return true;
  const { id, kind, itemId, aloud } = { itemId: null, aloud: false, ...one };
  const as = { itemId: null, aloud: false, ...other };
  // Layers that last are seen in all that comes after.
  return id === as.id && kind === as.kind && kind !== 'layers' && itemId === as.itemId && aloud === as.aloud;
}

/** How much longer than planned by its words a beat takes, where somebody knows better. */
function stretchOf(beat: Beat, played: readonly { readonly beat: PlayBeat }[], context: BeatContext): number {
  if (beat.plannedSec === undefined) return 1;
  const byWordsMs = played.reduce((sum, one) => sum + beatKindOf(one.beat).durationMs(one.beat, context), 0);
  return byWordsMs > 0 ? (beat.plannedSec * 1000) / byWordsMs : 1;
}

/** An answer that is not to be seen leaves its question on the stage. */
function withoutAnswer(beat: PlayBeat): PlayBeat {
  return beat.kind === 'answer' ? { kind: 'ask', itemId: beat.itemId, text: '' } : beat;
}

/**
 * Where a step stands among the steps of a lesson, from 0. A step that its beat does not have any more is the beat's first.
 * @throws CoreError ROOM_POSITION_RANGE for a beat that the lesson does not have
 */
export function stepIndex({ lesson, steps }: PreparedLesson, { beatId, step }: StepRef): number {
  const exact = steps.findIndex(({ ref }) => ref.beatId === beatId && ref.step === step);
  const found = exact >= 0 ? exact : steps.findIndex(({ ref }) => ref.beatId === beatId);
  if (found < 0)
    throw new CoreError('ROOM_POSITION_RANGE', `The lesson “${lesson.title}” has no beat “${beatId}”.`, { title: lesson.title, beatId });
  return found;
}

function itemFinder(lesson: Lesson): (id: string) => Item {
  const byId = new Map<string, Item>();
  for (const item of lesson.items) {
    if (byId.has(item.id))
      throw new CoreError('LESSON_ITEM_TWICE', `Two items of “${lesson.title}” carry the id “${item.id}”.`, {
        title: lesson.title,
        item: item.id,
      });
    byId.set(item.id, item);
  }
  return (id) => {
    const item = byId.get(id);
    if (!item) throw new CoreError('LESSON_ITEM_UNKNOWN', `The lesson “${lesson.title}” has no item “${id}”.`, { title: lesson.title, id });
    return item;
  };
}

function checkBeatIds({ title, beats }: Lesson): void {
  const seen = new Set<string>();
  for (const { id } of beats) {
    if (seen.has(id)) throw new CoreError('LESSON_BEAT_TWICE', `Two beats of “${title}” carry the id “${id}”.`, { title, id });
    seen.add(id);
  }
}

function checkOrder(beat: Beat, beatIndex: number, asked: Set<string>, context: BeatContext): void {
  if (!('itemId' in beat)) return;
  context.itemOf(beat.itemId);
  if (beat.kind === 'ask') asked.add(beat.itemId);
  else if (!asked.has(beat.itemId)) {
    throw new CoreError('LESSON_BEAT_ORDER', `Beat ${beatIndex + 1} (${beat.kind}) comes before the ask beat of item “${beat.itemId}”.`, {
      number: beatIndex + 1,
      kind: beat.kind,
      item: beat.itemId,
    });
  }
}
