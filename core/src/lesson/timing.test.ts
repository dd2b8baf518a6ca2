import { RUNG_IDS } from '../ladder/registry.js';
import { draftLesson } from '../draft/draft.js';
import { edited } from '../edit/edit.js';
import type { Lesson } from './lesson.js';
import { prepareLesson } from './prepare.js';
import { DEFAULT_SETTINGS } from './settings.js';
import { timingOf } from './timing.js';

const draft = (minutes: number): Lesson =>
  draftLesson({ rung: 'five-past', minutes, delivery: 'live', settings: DEFAULT_SETTINGS, seed: 2 });
const wanted = (lesson: Lesson, targetMinutes: number): Lesson => ({ ...lesson, targetMinutes });

test('a lesson that is on time has nothing to cut or stretch', () => {
  for (const rung of RUNG_IDS) {
    const lesson = draftLesson({ rung, minutes: 10, delivery: 'live', settings: DEFAULT_SETTINGS, seed: 1 });
    expect(timingOf(prepareLesson(lesson)).offers).toEqual([]);
  }
});

test.each([
  [20, 17],
  [20, 19],
  [15, 18],
  [15, 25],
])('a lesson of %i minutes that is to take %i has three offers, each of which brings it nearer by what it says', (minutes, target) => {
  const lesson = wanted(draft(minutes), target);
  const { totalMs, targetMs, offers } = timingOf(prepareLesson(lesson));
  expect(offers).toHaveLength(3);
  for (const { label, bySec, apply } of offers) {
    const changed = prepareLesson(edited(lesson, apply)).totalMs;
    expect([label, Math.round((changed - totalMs) / 1000)]).toEqual([label, bySec]);
    expect(Math.abs(changed - targetMs)).toBeLessThan(Math.abs(totalMs - targetMs));
  }
  const left = offers.map(({ bySec }) => Math.abs(totalMs - targetMs + bySec * 1000));
  expect(left).toEqual([...left].sort((a, b) => a - b));
});

test('offers taken one after the other bring any lesson to its target as near as it goes, and end', () => {
  let lesson = wanted(draft(20), 12);
  let taken = 0;
  for (
    let offers = timingOf(prepareLesson(lesson)).offers;
    offers.length > 0 && taken < 60;
    offers = timingOf(prepareLesson(lesson)).offers
  ) {
    lesson = edited(lesson, offers[0]!.apply);
    taken++;
  }
  expect(taken).toBeLessThan(60);
  expect(Math.abs(prepareLesson(lesson).totalMs / (12 * 60_000) - 1)).toBeLessThan(0.12);
});
