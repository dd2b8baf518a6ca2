import type { Beat, NewBeat } from '../beats/registry.js';
import { generatedSteps } from '../beats/worked-example.js';
import { freeId, withBeats, withQuestion } from '../lesson/lesson-parts.js';
import type { Item } from '../question-kinds/registry.js';
import type { SecondOfDay } from '../time/second-of-day.js';
import type { Lesson } from '../lesson/lesson.js';
import { prepareLesson } from '../lesson/prepare.js';

/** A change of a lesson's script. */
export type ScriptEdit = (lesson: Lesson) => Lesson;

/**
 * The lesson after a change, if it still is one: a question is asked before it is thought about and answered.
 * @throws CoreError what prepareLesson throws; the lesson is left as it was then
 */
export function edited(lesson: Lesson, edit: ScriptEdit): Lesson {
  const changed = edit(lesson);
  prepareLesson(changed);
  return changed;
}

const itemIdOf = (beat: Beat): string | null => ('itemId' in beat ? beat.itemId : null);
const indexOf = ({ beats }: Lesson, beatId: string) => beats.findIndex(({ id }) => id === beatId);

/** The words of a beat, said while it is shown; an answer has none of its own. */
export const writeText =
  (beatId: string, text: string): ScriptEdit =>
  (lesson) => ({
    ...lesson,
    beats: lesson.beats.map((beat) => (beat.id === beatId && 'text' in beat && beat.text !== text ? { ...beat, text } : beat)),
  });

/** A beat one place on or back among the others; at either end it stays. */
export const moveBeat =
  (beatId: string, by: 1 | -1): ScriptEdit =>
  (lesson) => {
    const from = indexOf(lesson, beatId);
    const to = from + by;
    const moved = lesson.beats[from];
    if (!moved || to < 0 || to >= lesson.beats.length) return lesson;
    const others = lesson.beats.filter((_, index) => index !== from);
    return { ...lesson, beats: [...others.slice(0, to), moved, ...others.slice(to)] };
  };

/** The lesson without a beat; an ask beat takes along what is thought and answered about its question, and the question. */
export const removeBeat =
  (beatId: string): ScriptEdit =>
  (lesson) => {
    const beat = lesson.beats[indexOf(lesson, beatId)];
    if (!beat) return lesson;
    const itemId = beat.kind === 'ask' ? beat.itemId : null;
    if (itemId === null) return { ...lesson, beats: lesson.beats.filter(({ id }) => id !== beatId) };
    return {
      ...lesson,
      items: lesson.items.filter(({ id }) => id !== itemId),
      beats: lesson.beats.filter((one) => itemIdOf(one) !== itemId),
    };
  };

/** A beat once more, after itself; an ask beat with a question of its own, and time to think and the answer to it. */
export const duplicateBeat =
  (beatId: string): ScriptEdit =>
  (lesson) => {
    const index = indexOf(lesson, beatId);
    const beat = lesson.beats[index];
    if (!beat) return lesson;
    if (beat.kind === 'ask') {
      const own = lesson.beats.filter((one) => itemIdOf(one) === beat.itemId);
      const think = own.find((one) => one.kind === 'think');
      const after = lesson.beats.findLastIndex((one) => itemIdOf(one) === beat.itemId) + 1;
      const item = lesson.items.find(({ id }) => id === beat.itemId)!;
      return withQuestion(lesson, after, item, think?.kind === 'think' ? think.seconds : 20);
    }
    const { id: _id, ...rest } = beat;
    return withBeats(lesson, index + 1, [rest as Parameters<typeof withBeats>[2][number]]);
  };

/** A worked example of a time before a beat, or at the end. */
export const addExample =
  (timeSec: SecondOfDay, beforeId: string | null): ScriptEdit =>
  (lesson) =>
    withBeats(lesson, placeBefore(lesson, beforeId), [{ kind: 'worked-example', timeSec }]);

/** Words to say before a beat, or at the end. */
export const addSay =
  (text: string, beforeId: string | null): ScriptEdit =>
  (lesson) =>
    withBeats(lesson, placeBefore(lesson, beforeId), [{ kind: 'say', text }]);

/** A question before a beat, or at the end, with time to think and its answer. */
export const addQuestion =
  (item: Item, seconds: number, beforeId: string | null): ScriptEdit =>
  (lesson) =>
    withQuestion(lesson, placeBefore(lesson, beforeId), item, seconds);

/** What is set to undefined is taken out: files have no empty members. */
function withoutEmpty<T extends object>(changed: T): T {
  return Object.fromEntries(Object.entries(changed).filter(([, value]) => value !== undefined)) as T;
}

/** A beat with other settings, words, note or time; its kind and its id stay. */
export const changeBeat =
  (beatId: string, change: Partial<Omit<Beat, 'id' | 'kind'>> & Record<string, unknown>): ScriptEdit =>
  (lesson) => ({
    ...lesson,
    beats: lesson.beats.map((beat) => {
      if (beat.id !== beatId) return beat;
      return withoutEmpty({ ...beat, ...change });
    }),
  });

/** A question with another time or another way of asking. */
export const changeItem =
  (itemId: string, change: Readonly<Record<string, unknown>>): ScriptEdit =>
  (lesson) => ({
    ...lesson,
    items: lesson.items.map((item) => (item.id === itemId ? withoutEmpty({ ...item, ...change, id: itemId }) : item)),
  });

/** Another question in the place of one, of any kind; its beats go on asking it. */
export const replaceItem =
  (itemId: string, made: Item): ScriptEdit =>
  (lesson) => ({ ...lesson, items: lesson.items.map((item) => (item.id === itemId ? { ...made, id: itemId } : item)) });

/** New beats before a beat, or at the end. */
export const addBeats =
  (beats: readonly NewBeat[], beforeId: string | null): ScriptEdit =>
  (lesson) =>
    withBeats(lesson, placeBefore(lesson, beforeId), beats);

/** Several beats, wherever they stand, before another one or at the end, in the order they stand. */
export const moveBeats =
  (beatIds: readonly string[], beforeId: string | null): ScriptEdit =>
  (lesson) => {
    const moved = lesson.beats.filter(({ id }) => beatIds.includes(id));
    if (moved.length === 0 || (beforeId !== null && beatIds.includes(beforeId))) return lesson;
    const others = lesson.beats.filter(({ id }) => !beatIds.includes(id));
    const index = beforeId === null ? others.length : others.findIndex(({ id }) => id === beforeId);
    const to = index < 0 ? others.length : index;
    return { ...lesson, beats: [...others.slice(0, to), ...moved, ...others.slice(to)] };
  };

/** The lesson without several beats; questions go as a whole. */
export const removeBeats =
  (beatIds: readonly string[]): ScriptEdit =>
  (lesson) =>
    beatIds.reduce((now, id) => removeBeat(id)(now), lesson);

/** Beats that were copied, with the questions they are about. */
export interface Clip {
  readonly format: 'zeitpunkt-beats';
  readonly formatVersion: Lesson['formatVersion'];
  readonly beats: readonly Beat[];
  readonly items: readonly Item[];
}

/** Some beats as they can be pasted, into this lesson or another; a question is copied as a whole. */
export function clipOf(lesson: Lesson, beatIds: readonly string[]): Clip {
  const chosen = lesson.beats.filter(({ id }) => beatIds.includes(id));
  const itemIds = new Set(chosen.map(itemIdOf).filter((id) => id !== null));
  const beats = lesson.beats.filter((beat) => beatIds.includes(beat.id) || itemIds.has(itemIdOf(beat) ?? ''));
  return {
    format: 'zeitpunkt-beats',
    formatVersion: lesson.formatVersion,
    beats,
    items: lesson.items.filter(({ id }) => itemIds.has(id)),
  };
}

/** Copied beats before a beat, or at the end, with ids of their own. */
export const pasteClip =
  ({ beats, items }: Pick<Clip, 'beats' | 'items'>, beforeId: string | null): ScriptEdit =>
  (lesson) => {
    const itemIds = new Map<string, string>();
    let taken = lesson.items;
    for (const item of items) {
      const id = freeId(taken, 'q');
      itemIds.set(item.id, id);
      taken = [...taken, { ...item, id }];
    }
    const renamed = beats.map(({ id: _id, ...beat }) =>
      'itemId' in beat ? { ...beat, itemId: itemIds.get(beat.itemId) ?? beat.itemId } : beat,
    ) as readonly NewBeat[];
    return withBeats({ ...lesson, items: taken }, placeBefore(lesson, beforeId), renamed);
  };

/**
 * A worked example with the words of one of its steps changed; what was generated is kept beside them, so that words that no
 * longer fit are told. The words as they were generated take the change away.
 */
export const editStep =
  (beatId: string, step: string, text: string): ScriptEdit =>
  (lesson) => ({
    ...lesson,
    beats: lesson.beats.map((beat) => {
      if (beat.id !== beatId || beat.kind !== 'worked-example') return beat;
      const of = generatedSteps(beat, lesson.settings).find((one) => one.step === step)?.beat.text;
      if (of === undefined) return beat;
      const others = (beat.edits ?? []).filter((edit) => edit.step !== step);
      return { ...beat, edits: text === of ? others : [...others, { step, text, of }] };
    }),
  });

function placeBefore(lesson: Lesson, beforeId: string | null): number {
  const index = beforeId === null ? -1 : indexOf(lesson, beforeId);
  return index < 0 ? lesson.beats.length : index;
}
