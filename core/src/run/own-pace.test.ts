import fc from 'fast-check';
import { prepareLesson } from '../lesson/prepare.js';
import { describeStage } from '../scene/describe-stage.js';
import { answeredOwn, beginOwn, farthestOwnStep, goOwn, isOwnDone, ownIndex, ownSteps } from './own-pace.js';
import { newRun } from './run.js';
import { stageOfRun } from './run-stage.js';
import { lessonWith } from '../testing/lessons.js';

const LESSON = lessonWith({
  items: [
    { id: 'q1', kind: 'read-dial', timeSec: 27_000 },
    { id: 'q2', kind: 'read-dial', timeSec: 9000 },
    { id: 'q3', kind: 'read-dial', timeSec: 41_400 },
  ],
  beats: [
    { id: 'hello', kind: 'say', text: 'Hello.' },
    { id: 'example', kind: 'worked-example', timeSec: 12_600 },
    { id: 'ask-1', kind: 'ask', itemId: 'q1', text: '' },
    { id: 'think-1', kind: 'think', itemId: 'q1', seconds: 5, text: '' },
    { id: 'answer-1', kind: 'answer', itemId: 'q1' },
    { id: 'ask-3', kind: 'ask', itemId: 'q3', text: '', aloud: true },
    { id: 'think-3', kind: 'think', itemId: 'q3', seconds: 20, text: '', stops: true },
    { id: 'answer-3', kind: 'answer', itemId: 'q3' },
    { id: 'ask-2', kind: 'ask', itemId: 'q2', text: '' },
    { id: 'bye', kind: 'say', text: 'Good-bye.' },
  ],
});
const prepared = prepareLesson(LESSON);
const steps = ownSteps(prepared);
const BEGUN = beginOwn(newRun(prepared), prepared, 1000);
const beatAt = (index: number) => steps[index]!.ref.beatId;

test('think time is the pupil’s own where a device answers; what is asked aloud stops and waits', () => {
  const beats = steps.map(({ ref }) => ref.beatId);
  expect(beats).not.toContain('think-1');
  expect(beats).toContain('think-3');
  expect(ownIndex(prepared, { beatId: 'think-1', step: 'beat' })).toBe(beats.indexOf('ask-1'));
});

test('whatever a pupil does, no question is passed unanswered and no answer is seen before it is given', () => {
  const act = fc.oneof(fc.record({ go: fc.nat(steps.length - 1) }), fc.constant({ answer: true as const }));
  fc.assert(
    fc.property(fc.array(act, { maxLength: 40 }), (acts) => {
      let run = BEGUN;
      const answered = new Set<string>();
      for (const one of acts) {
        const open = run.askings.find(({ phase }) => phase === 'open');
        if ('answer' in one && open) {
          run = answeredOwn(run, open.id, prepared, 0);
          answered.add(open.id);
        } else if ('go' in one) {
          const isAllowed = one.go <= farthestOwnStep(prepared, run);
          const go = () => goOwn(run, steps[one.go]!.ref, prepared, 0);
          if (!isAllowed) expect(go).toThrow(expect.objectContaining({ code: 'ROOM_POSITION_RANGE' }));
          else run = go();
        }
        const seen = describeStage(stageOfRun(prepared, run, Infinity));
        if (!answered.has('q1')) expect(seen).not.toMatch(/7 : 30|half past seven/);
        if (!answered.has('q2')) expect(seen).not.toMatch(/2 : 30|half past two/);
        for (const { id, phase } of run.askings) expect(phase === 'revealed').toBe(answered.has(id));
        const unanswered = ['ask-1', 'ask-2'].filter((_, index) => !answered.has(['q1', 'q2'][index]!));
        for (const beatId of unanswered)
          expect(ownIndex(prepared, run.at)).toBeLessThanOrEqual(steps.findIndex(({ ref }) => ref.beatId === beatId));
      }
    }),
  );
});

test('an answer leads to its reason; one that comes when the pupil is elsewhere moves nobody; the end is reached after all', () => {
  const asked = goOwn(BEGUN, steps[farthestOwnStep(prepared, BEGUN)]!.ref, prepared, 2000);
  expect(asked.at.beatId).toBe('ask-1');
  expect(answeredOwn(asked, 'q1', prepared, 3000).at.beatId).toBe('answer-1');
  const back = goOwn(asked, steps[0]!.ref, prepared, 2500);
  const elsewhere = answeredOwn(back, 'q1', prepared, 3000);
  expect(elsewhere.at.beatId).toBe('hello');
  // What is answered already, and what was never asked, changes nothing.
  expect([answeredOwn(elsewhere, 'q1', prepared, 3500), answeredOwn(back, 'q2', prepared, 3500)]).toEqual([elsewhere, back]);
  const next = goOwn(elsewhere, steps[farthestOwnStep(prepared, elsewhere)]!.ref, prepared, 4000);
  expect([next.at.beatId, isOwnDone(prepared, next)]).toEqual(['ask-2', false]);
  // This question has no beat that answers it: its answer is shown where it stands.
  const last = answeredOwn(next, 'q2', prepared, 5000);
  expect([last.at.beatId, beatAt(farthestOwnStep(prepared, last))]).toEqual(['ask-2', 'bye']);
  expect(isOwnDone(prepared, goOwn(last, steps.at(-1)!.ref, prepared, 6000))).toBe(true);
});

test('a lesson that begins with its question stops there until it is answered', () => {
  const atOnce = prepareLesson({ ...LESSON, beats: LESSON.beats.slice(2) });
  const begun = beginOwn(newRun(atOnce), atOnce, 1000);
  expect([begun.at.beatId, farthestOwnStep(atOnce, begun)]).toEqual(['ask-1', 0]);
  expect(farthestOwnStep(atOnce, answeredOwn(begun, 'q1', atOnce, 2000))).toBeGreaterThan(0);
});
