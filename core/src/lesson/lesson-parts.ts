import type { Beat, NewBeat } from '../beats/registry.js';
import type { Lesson } from './lesson.js';
import type { PreparedLesson } from './prepare.js';
import type { StepRef } from './step-ref.js';
import { kindOf, type Item } from '../question-kinds/registry.js';
import { seededRng } from '../random/rng.js';
import { anotherLike } from '../run/another.js';
import { SECONDS_PER_HALF_DAY, toSecondOfDay, type SecondOfDay } from '../time/second-of-day.js';

/** What is asked in this last part of a lesson shows what pupils leave with. */
export const LAST_PART = 0.3;

/** A question where it is asked. */
export interface AskedHere {
  readonly item: Item;
  readonly at: StepRef;
  readonly beatIndex: number;
  readonly startMs: number;
}

/** The questions in the order they are asked. */
export function questionsOf({ steps, context }: PreparedLesson): AskedHere[] {
  return steps.flatMap(({ beat, ref, beatIndex, startMs }) =>
    beat.kind === 'ask' ? [{ item: context.itemOf(beat.itemId), at: ref, beatIndex, startMs }] : [],
  );
}

/** Every time that a lesson reads or asks for, in order. */
export function timesOf({ lesson, context }: PreparedLesson): SecondOfDay[] {
  return lesson.beats.flatMap((beat) => {
    if (beat.kind === 'ask') {
      const item = context.itemOf(beat.itemId);
      return [...kindOf(item).timesOf(item)];
    }
    if (beat.kind === 'show') return beat.build.hands === 'geared' ? [toSecondOfDay(beat.build.timeSec)] : [];
    const isRead =
      beat.kind === 'worked-example' ||
      beat.kind === 'mistake' ||
      beat.kind === 'missing-hand' ||
      (beat.kind === 'set' && beat.display === 'full');
    return isRead ? [toSecondOfDay(beat.timeSec)] : [];
  });
}

/** The hour that the short hand has passed, 0 to 11. */
export const dialHour = (at: number): number => Math.floor((at % SECONDS_PER_HALF_DAY) / 3600);

/** An id of the lesson that is not taken yet. */
export function freeId(taken: readonly { readonly id: string }[], prefix: string): string {
  const ids = new Set(taken.map(({ id }) => id));
  for (let number = taken.length + 1; ; number++) if (!ids.has(`${prefix}${number}`)) return `${prefix}${number}`;
}

/** The lesson with beats put in before one, each with an id of its own. */
export function withBeats(lesson: Lesson, beatIndex: number, added: readonly NewBeat[]): Lesson {
  let beats = lesson.beats;
  added.forEach((beat, offset) => {
    const named = { ...beat, id: freeId(beats, 'b') } as Beat;
    beats = [...beats.slice(0, beatIndex + offset), named, ...beats.slice(beatIndex + offset)];
  });
  return { ...lesson, beats };
}

/** The lesson with a question put in before a beat. */
export function withQuestion(lesson: Lesson, beatIndex: number, item: Item, seconds: number): Lesson {
  const itemId = freeId(lesson.items, 'q');
  return withBeats({ ...lesson, items: [...lesson.items, { ...item, id: itemId }] }, beatIndex, [
    { kind: 'ask', itemId, text: '' },
    { kind: 'think', itemId, seconds, text: '' },
    { kind: 'answer', itemId },
  ]);
}

/** The lesson with one of its questions about another time, of the same kind and rung, and of no hour of its neighbours. */
export function withOtherTime(lesson: Lesson, item: Item, isWanted: (at: number) => boolean): Lesson {
  const rng = seededRng(lesson.items.length + 1);
  const asked = lesson.beats.flatMap((beat) => (beat.kind === 'ask' ? [beat.itemId] : []));
  const place = asked.indexOf(item.id);
  const beside = lesson.items.filter(({ id }) => id === asked[place - 1] || id === asked[place + 1]);
  const hoursBeside = new Set(beside.flatMap((one) => kindOf(one).timesOf(one).map(dialHour)));
  const isGood = (at: number) => isWanted(at) && !hoursBeside.has(dialHour(at));
  for (let draw = 0; draw < 200; draw++) {
    const other = anotherLike(item, lesson.items, item.id, lesson.settings, rng);
    if (kindOf(other).timesOf(other).every(isGood))
      return { ...lesson, items: lesson.items.map((one) => (one.id === item.id ? other : one)) };
  }
  return lesson;
}

/** A goodbye is short, in words. */
const GOODBYE_WORDS = 40;

/** Where a lesson says goodbye: before its last beat where that is a few words, else at its end. */
export function beforeGoodbye({ beats }: Lesson): number {
  const last = beats.at(-1);
  return last?.kind === 'say' && last.text.split(/\s+/).length <= GOODBYE_WORDS ? beats.length - 1 : beats.length;
}
