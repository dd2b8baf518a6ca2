import { draftLesson } from '@zeitpunkt/core/draft/draft';
import { CoreError } from '@zeitpunkt/core/errors';
import { RUNG_IDS } from '@zeitpunkt/core/ladder/registry';
import { prepareLesson } from '@zeitpunkt/core/lesson/prepare';
import { rungOfLesson } from '@zeitpunkt/core/lesson/rung-of-lesson';
import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import { secondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { lessonWith } from '@zeitpunkt/core/testing/lessons';
import { insertOf, OTHER_INSERTS, QUESTION_INSERTS, questionsBefore } from './new-beats';

const ALL = [...QUESTION_INSERTS, ...OTHER_INSERTS];
const LESSONS = RUNG_IDS.map((rung) => draftLesson({ rung, minutes: 5, delivery: 'live', settings: DEFAULT_SETTINGS, seed: 2 }));

test.each(ALL.map(({ value, text }) => [text, value]))(
  '%s can be put into a lesson on any rung, at its beginning, in the middle and at its end',
  (_text, value) => {
    for (const lesson of LESSONS) {
      const [first, middle] = [lesson.beats[0]!.id, lesson.beats[Math.floor(lesson.beats.length / 2)]!.id];
      for (const beforeId of [first, middle, null]) {
        const changed = insertOf(value, null, lesson, beforeId)(lesson);
        const added = changed.beats.filter(({ id }) => !lesson.beats.some((beat) => beat.id === id));
        expect(added.length).toBeGreaterThanOrEqual(1);
        // All that was there stays, in its order; what is new stands together, before the beat that was meant.
        expect(changed.beats.filter((beat) => !added.includes(beat))).toEqual(lesson.beats);
        const end = changed.beats.indexOf(added.at(-1)!) + 1;
        expect(changed.beats.slice(end - added.length, end)).toEqual(added);
        expect(changed.beats[end]?.id ?? null).toBe(beforeId);
        expect(() => prepareLesson(changed)).not.toThrow();
      }
    }
  },
);

test('what is put in is about the time that is wanted; a mistake that leads to none there is refused with what to do', () => {
  const lesson = LESSONS[1]!;
  const at = secondOfDay(9, 30);
  for (const { value } of OTHER_INSERTS) {
    const changed = insertOf(value, at, lesson, null)(lesson);
    const beat = changed.beats.at(-1)!;
    if ('timeSec' in beat) expect(beat.timeSec).toBe(at);
  }
  const question = insertOf('question:read-dial', at, lesson, null)(lesson);
  expect(question.items.at(-1)).toMatchObject({ kind: 'read-dial', timeSec: at });
  const noMistake = insertOf('mistake', secondOfDay(12, 0), lesson, null)(lesson);
  expect(() => prepareLesson(noMistake)).toThrow(CoreError);
});

test('questions of a set come in their order, each with its time to think and its answer, and ids that nobody has', () => {
  const lesson = lessonWith({ items: [{ id: 'q1', kind: 'read-dial', timeSec: 27_000 }] });
  const items = LESSONS[3]!.items.slice(0, 3);
  const changed = questionsBefore('b1', items, lesson)(lesson);
  expect(changed.beats.map(({ kind }) => kind)).toEqual([...items.flatMap(() => ['ask', 'think', 'answer']), 'say']);
  expect(new Set(changed.items.map(({ id }) => id)).size).toBe(4);
  expect(changed.items.slice(1).map(({ kind }) => kind)).toEqual(items.map(({ kind }) => kind));
  expect(rungOfLesson(changed)).toBeDefined();
  expect(() => prepareLesson(changed)).not.toThrow();
});
