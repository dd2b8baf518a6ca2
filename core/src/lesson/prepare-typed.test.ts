import fc from 'fast-check';
import { CoreError } from '../errors.js';
import { draftLesson } from '../draft/draft.js';
import type { Lesson } from './lesson.js';
import { prepareLesson, prepareTyped, type PreparedLesson } from './prepare.js';
import { DEFAULT_SETTINGS } from './settings.js';

const wish = { rung: 'quarter-to', minutes: 8, settings: DEFAULT_SETTINGS } as const;
const LESSONS = (['live', 'recorded'] as const).map((delivery, seed) => draftLesson({ ...wish, delivery, seed }));
type Made = Pick<PreparedLesson, 'steps' | 'totalMs'>;
/** Without the functions that look items up. */
const plain = ({ steps, totalMs }: Made) => ({
  steps: steps.map(({ context: { itemOf: _itemOf, ...context }, ...step }) => ({ ...step, context })),
  totalMs,
});
/** When everything comes, and all of it up to a beat: what is kept of its stage later follows when the typing is over. */
const upTo = (index: number, { steps, totalMs }: Made) => [
  steps.map(({ ref, startMs, durationMs }) => ({ ref, startMs, durationMs })),
  plain({ steps: steps.filter(({ beatIndex }) => beatIndex <= index), totalMs }),
];

const withBeat = (lesson: Lesson, index: number, change: object): Lesson => ({
  ...lesson,
  beats: lesson.beats.map((beat, place) => (place === index ? { ...beat, ...change } : beat)),
});

test('letter by letter a lesson is, up to what is typed, as if it were prepared as a whole', () => {
  const words = fc.string({ maxLength: 40 });
  fc.assert(
    fc.property(
      fc.constantFrom(...LESSONS),
      fc.nat(),
      words,
      words,
      fc.option(fc.integer({ min: 1, max: 90 })),
      (lesson, at, text, note, plannedSec) => {
        const index = at % lesson.beats.length;
        const change = { ...('text' in lesson.beats[index]! && { text }), note, ...(plannedSec !== null && { plannedSec }) };
        const typed = withBeat(lesson, index, change);
        expect(upTo(index, prepareTyped(prepareLesson(lesson), typed))).toEqual(upTo(index, prepareLesson(typed)));
      },
    ),
    { numRuns: 25 },
  );
});

test('a question that is changed is seen in every beat about it', () => {
  const [lesson] = LESSONS as [Lesson];
  const [item] = lesson.items;
  const other: Lesson = { ...lesson, items: lesson.items.map((one) => (one === item ? { ...one, stem: 'And what now?' } : one)) };
  expect(plain(prepareTyped(prepareLesson(lesson), other))).toEqual(plain(prepareLesson(other)));
  const step = prepareTyped(prepareLesson(lesson), other).steps.find(({ beat }) => beat.kind === 'ask' && beat.itemId === item!.id)!;
  expect(step.context.itemOf(item!.id)).toMatchObject({ stem: 'And what now?' });
});

test('what is more than words is prepared as a whole, and refused as ever', () => {
  const [lesson] = LESSONS as [Lesson];
  const prepared = prepareLesson(lesson);
  const shorter = { ...lesson, beats: lesson.beats.slice(0, 3) };
  expect(plain(prepareTyped(prepared, shorter))).toEqual(plain(prepareLesson(shorter)));
  const ask = lesson.beats.findIndex(({ kind }) => kind === 'ask');
  const aloud = withBeat(lesson, ask, { aloud: true });
  expect(plain(prepareTyped(prepared, aloud))).toEqual(plain(prepareLesson(aloud)));
  expect(() => prepareTyped(prepared, withBeat(lesson, ask, { itemId: 'nothing' }))).toThrow(CoreError);
});
