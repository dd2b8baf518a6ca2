import fc from 'fast-check';
import { prepareLesson } from '../lesson/prepare.js';
import { beatTimes } from './beat-times.js';
import { enterStep, newRun } from './run.js';
import { lessonWith } from '../testing/lessons.js';

const lesson = lessonWith({
  items: [],
  beats: [
    { id: 'hello', kind: 'say', text: 'Hello.' },
    { id: 'example', kind: 'worked-example', timeSec: 27_000 },
    { id: 'bye', kind: 'say', text: 'Good-bye.', plannedSec: 30 },
  ],
});
const prepared = prepareLesson(lesson);
const { steps } = prepared;

test('however a lesson is gone through, the times of its beats add up to what it took', () => {
  const visits = fc.array(fc.record({ step: fc.nat(steps.length - 1), waitMs: fc.nat(60_000) }), { minLength: 1, maxLength: 30 });
  fc.assert(
    fc.property(visits, (all) => {
      let [run, nowMs] = [newRun(prepared), 1000];
      for (const { step, waitMs } of all) {
        run = enterStep(run, steps[step]!.ref, prepared, nowMs);
        nowMs += waitMs;
      }
      const times = beatTimes(prepared, run, nowMs);
      expect(times.reduce((sum, { actualMs }) => sum + (actualMs ?? 0), 0)).toBe(nowMs - 1000);
      const seen = new Set(all.map(({ step }) => steps[step]!.ref.beatId));
      expect(times.filter(({ actualMs }) => actualMs !== null).map(({ beatId }) => beatId)).toEqual(
        lesson.beats.map(({ id }) => id).filter((id) => seen.has(id)),
      );
    }),
  );
});

test('steps of one beat are one time; a beat that is come back to takes longer; planned is what the lesson plans', () => {
  const at = (beatId: string) => steps.find(({ ref }) => ref.beatId === beatId)!.ref;
  let run = enterStep(newRun(prepared), at('hello'), prepared, 0);
  run = enterStep(run, at('example'), prepared, 1000);
  run = enterStep(run, steps.filter(({ ref }) => ref.beatId === 'example').at(-1)!.ref, prepared, 5000);
  run = enterStep(run, at('hello'), prepared, 9000);
  expect(beatTimes(prepared, run, 9500)).toMatchObject([
    { beatId: 'hello', actualMs: 1500 },
    { beatId: 'example', actualMs: 8000 },
    { beatId: 'bye', plannedMs: 30_000, actualMs: null },
  ]);
});
