import type { BeatContext } from '../beats/beat-kind.js';
import type { Beat, PlayBeat } from '../beats/registry.js';
import { beatKindOf } from '../beats/registry.js';
import { CoreError } from '../errors.js';
import type { Item } from '../question-kinds/registry.js';
import type { StageState } from '../scene/stage-state.js';
import { TEACHING_LAYERS } from '../scene/dial-state.js';
import { toSecondOfDay } from '../time/second-of-day.js';
import { explain } from './explain.js';
import type { Lesson } from './lesson.js';
import type { LessonSettings } from './settings.js';

/** One point the teacher moves on to: a beat of the lesson, or one step of a beat that expands. */
export interface Step {
  /** Index of the beat in the lesson, from 0. */
  readonly beatIndex: number;
  /** Place within an expanded beat, from 0, and how many steps it has. */
  readonly stepInBeat: number;
  readonly stepsOfBeat: number;
  readonly beat: PlayBeat;
  /** The stage before this step begins. */
  readonly before: StageState;
  readonly durationMs: number;
  /** Planned start since the beginning of the lesson, in milliseconds. */
  readonly startMs: number;
}

/** A lesson made ready to play: expanded to steps, each with the stage it starts from. */
export interface PreparedLesson {
  readonly lesson: Lesson;
  readonly steps: readonly Step[];
  readonly context: BeatContext;
  /** Planned length of the whole lesson in milliseconds. */
  readonly totalMs: number;
}

const BLANK_STAGE: StageState = {
  dial: { pose: { hourDeg: 0, minuteDeg: 0 }, layers: TEACHING_LAYERS, marks: [] },
  display: null,
  words: [],
  board: [],
  stem: null,
  countdown: null,
};

/**
 * Expands a lesson and checks what a schema cannot: items exist once, and each is asked before it is thought about or answered.
 * @throws CoreError LESSON_EMPTY, LESSON_ITEM_TWICE, LESSON_ITEM_UNKNOWN, LESSON_BEAT_ORDER
 */
export function prepareLesson(lesson: Lesson): PreparedLesson {
  if (lesson.beats.length === 0) throw new CoreError('LESSON_EMPTY', `The lesson “${lesson.title}” has no beats.`);
  const context: BeatContext = { settings: lesson.settings, itemOf: itemFinder(lesson) };
  const asked = new Set<string>();
  const steps: Step[] = [];
  let before = BLANK_STAGE;
  let startMs = 0;
  lesson.beats.forEach((beat, beatIndex) => {
    checkOrder(beat, beatIndex, asked, context);
    const played = expandBeat(beat, lesson.settings);
    played.forEach((step, stepInBeat) => {
      const kind = beatKindOf(step);
      const durationMs = kind.durationMs(step, context);
      steps.push({ beatIndex, stepInBeat, stepsOfBeat: played.length, beat: step, before, durationMs, startMs });
      before = kind.at(before, step, Infinity, context);
      startMs += durationMs;
    });
  });
  return { lesson, steps, context, totalMs: startMs };
}

/** The beats that a beat plays as: itself, or what it expands to. */
export function expandBeat(beat: Beat, settings: LessonSettings): readonly PlayBeat[] {
  return beat.kind === 'worked-example' ? explain(toSecondOfDay(beat.timeSec), settings) : [beat];
}

function itemFinder(lesson: Lesson): (id: string) => Item {
  const byId = new Map<string, Item>();
  for (const item of lesson.items) {
    if (byId.has(item.id)) throw new CoreError('LESSON_ITEM_TWICE', `Two items of “${lesson.title}” carry the id “${item.id}”.`);
    byId.set(item.id, item);
  }
  return (id) => {
    const item = byId.get(id);
    if (!item) throw new CoreError('LESSON_ITEM_UNKNOWN', `The lesson “${lesson.title}” has no item “${id}”.`);
    return item;
  };
}

function checkOrder(beat: Beat, beatIndex: number, asked: Set<string>, context: BeatContext): void {
  if (!('itemId' in beat)) return;
  context.itemOf(beat.itemId);
  if (beat.kind === 'ask') asked.add(beat.itemId);
  else if (!asked.has(beat.itemId)) {
    throw new CoreError('LESSON_BEAT_ORDER', `Beat ${beatIndex + 1} (${beat.kind}) comes before the ask beat of item “${beat.itemId}”.`);
  }
}
