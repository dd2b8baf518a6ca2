import { draftLesson } from '../draft/draft.js';
import { prepareLesson } from '../lesson/prepare.js';
import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import type { BeatTime } from '../run/beat-times.js';
import { beatTimes } from '../run/beat-times.js';
import { measuredPace, takeTimes } from './what-it-took.js';

const lesson = draftLesson({ rung: 'quarter-past', minutes: 12, delivery: 'live', settings: DEFAULT_SETTINGS, seed: 4 });
const prepared = prepareLesson(lesson);
/** The lesson as it would be gone through by somebody who speaks at a pace. */
const spokenAt = (wordsPerMinute: number): BeatTime[] => {
  const spoken = prepareLesson({ ...lesson, settings: { ...lesson.settings, wordsPerMinute } });
  return beatTimes(spoken, { trail: [] }, 0).map((time) => ({ ...time, actualMs: time.plannedMs }));
};

test('the times of a rehearsal become the plan: the lesson is planned to take what it took, to half a second a beat', () => {
  const took = spokenAt(95);
  const planned = prepareLesson(takeTimes(took)(lesson)).totalMs;
  const total = took.reduce((sum, { actualMs }) => sum + actualMs!, 0);
  expect(Math.abs(planned - total)).toBeLessThanOrEqual(500 * lesson.beats.length);
  const half = took.map((time, index) => (index % 2 === 0 ? time : { ...time, actualMs: null }));
  expect(takeTimes(half)(lesson).beats.filter(({ plannedSec }) => plannedSec === undefined)).toHaveLength(
    Math.floor(lesson.beats.length / 2),
  );
});

test.each([80, 100, 120, 160, 200])('a pace of %i words a minute is found again from what the beats took', (pace) => {
  expect(measuredPace(prepared, spokenAt(pace))).toBeGreaterThanOrEqual(pace - 10);
  expect(measuredPace(prepared, spokenAt(pace))).toBeLessThanOrEqual(pace + 10);
});

test('who clicks through or says little tells no pace', () => {
  const clicked = spokenAt(120).map((time) => ({ ...time, actualMs: 400 }));
  expect(measuredPace(prepared, clicked)).toBeNull();
  expect(takeTimes(clicked)(lesson)).toEqual(lesson);
  const [first, ...rest] = spokenAt(120);
  expect(measuredPace(prepared, [first!, ...rest.map((time) => ({ ...time, actualMs: null }))])).toBeNull();
});
