import fc from 'fast-check';
import { RUNG_IDS } from '../ladder/registry.js';
import { draftLesson } from '../draft/draft.js';
import type { Lesson } from './lesson.js';
import { phasesOf } from './phases.js';
import { prepareLesson } from './prepare.js';
import { DEFAULT_SETTINGS } from './settings.js';

const draft = (rung: (typeof RUNG_IDS)[number], minutes: number, seed = 1) =>
  prepareLesson(draftLesson({ rung, minutes, delivery: 'live', settings: DEFAULT_SETTINGS, seed }));
const idsOf = (lesson: ReturnType<typeof prepareLesson>) => phasesOf(lesson).map(({ id }) => id);

test('a drafted lesson recalls, shows, has examples and turns, and ends with a check', () => {
  const ids = idsOf(draft('quarter-to', 15));
  expect(ids.slice(0, 2)).toEqual(['recall', 'show']);
  expect(ids).toEqual(expect.arrayContaining(['examples', 'turn']));
  expect(ids.at(-1)).toBe('check');
});

test('whatever the lesson, its parts hold every beat once, in order, are seven at most, and take as long as it does', () => {
  fc.assert(
    fc.property(fc.constantFrom(...RUNG_IDS), fc.constantFrom(5, 15, 30), fc.integer({ min: 1, max: 50 }), (rung, minutes, seed) => {
      const prepared = draft(rung, minutes, seed);
      const phases = phasesOf(prepared);
      expect(phases.length).toBeLessThanOrEqual(7);
      expect(phases.map(({ from }) => from)).toEqual([0, ...phases.slice(0, -1).map(({ to }) => to)]);
      expect(phases.at(-1)!.to).toBe(prepared.lesson.beats.length);
      expect(phases.reduce((sum, { durationMs }) => sum + durationMs, 0)).toBe(prepared.totalMs);
      expect(phases.every(({ id }, index) => id !== phases[index + 1]?.id)).toBe(true);
    }),
    { numRuns: 25 },
  );
});

test('words lead to what follows them; those at the end belong to what was before; words alone are words', () => {
  const { lesson } = draft('half-past', 5);
  const say = (id: string) => ({ id, kind: 'say' as const, text: 'Look.' });
  const of = (beats: Lesson['beats']) => phasesOf(prepareLesson({ ...lesson, beats }));
  const example = { id: 'e', kind: 'worked-example' as const, timeSec: 27_000 };
  expect(of([say('a'), say('b')])).toMatchObject([{ id: 'say', from: 0, to: 2 }]);
  expect(of([say('a'), example, say('b')])).toMatchObject([{ id: 'examples', from: 0, to: 3 }]);
  expect(of([{ id: 's', kind: 'set', timeSec: 0, display: 'none', words: false, text: '' }, say('a'), example])).toMatchObject([
    { id: 'show', from: 0, to: 1 },
    { id: 'examples', from: 1, to: 3 },
  ]);
});
