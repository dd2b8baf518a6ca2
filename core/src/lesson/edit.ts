import type { Beat } from '../beats/registry.js';
import { withBeats, withQuestion } from '../checker-rules/lesson-parts.js';
import type { Item } from '../question-kinds/registry.js';
import type { SecondOfDay } from '../time/second-of-day.js';
import type { Lesson } from './lesson.js';
import { prepareLesson } from './prepare.js';

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

function placeBefore(lesson: Lesson, beforeId: string | null): number {
  const index = beforeId === null ? -1 : indexOf(lesson, beforeId);
  return index < 0 ? lesson.beats.length : index;
}
