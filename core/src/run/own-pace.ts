import { CoreError } from '../errors.js';
import { stepIndex, type PreparedLesson, type Step } from '../lesson/prepare.js';
import { sameStep, type StepRef } from '../lesson/step-ref.js';
import { askingOfScript } from './asking.js';
import { enterStep, setPhase, type Run } from './run.js';

// A lesson at one's own pace: the same steps, marks and reasons as in class, but the pupil goes on, and a question lets
// nobody past before it is answered. Think time is the pupil's own; what is asked aloud waits like any other step.

/** The steps that a pupil goes through: all but think time for what is answered on the device. */
export function ownSteps({ steps, aloud }: PreparedLesson): readonly Step[] {
  return steps.filter(({ beat }) => beat.kind !== 'think' || aloud.has(beat.itemId));
}

/** Where a pupil stands among these steps, from 0; at a step that is left out, at the one before it. */
export function ownIndex(prepared: PreparedLesson, at: StepRef): number {
  const here = stepIndex(prepared, at);
  return ownSteps(prepared).findLastIndex((step) => stepIndex(prepared, step.ref) <= here);
}

/** The farthest step that a pupil may go to now, among these steps, from 0: the first question that is not answered yet. */
export function farthestOwnStep(prepared: PreparedLesson, { askings }: Pick<Run, 'askings'>): number {
  const steps = ownSteps(prepared);
  const stop = steps.findIndex(({ beat }) => {
    if (beat.kind !== 'ask' || prepared.aloud.has(beat.itemId)) return false;
    return askingOfScript(askings, beat.itemId)?.phase !== 'revealed';
  });
  return stop < 0 ? steps.length - 1 : stop;
}

/** Whether nothing more comes and nothing is left to answer. */
export function isOwnDone(prepared: PreparedLesson, run: Run): boolean {
  const last = ownSteps(prepared).length - 1;
  return ownIndex(prepared, run.at) === last && farthestOwnStep(prepared, run) === last;
}

/** The run at its beginning. */
export function beginOwn(run: Run, prepared: PreparedLesson, nowMs: number): Run {
  return enterStep(run, ownSteps(prepared)[0]!.ref, prepared, nowMs);
}

/**
 * The run at another step; at the same one it is shown once more.
 * @throws CoreError ROOM_POSITION_RANGE for a step that the lesson does not have, or that lies behind an unanswered question
 */
export function goOwn(run: Run, to: StepRef, prepared: PreparedLesson, nowMs: number): Run {
  if (ownIndex(prepared, to) > farthestOwnStep(prepared, run)) {
    throw new CoreError('ROOM_POSITION_RANGE', 'A question before that place is not answered yet.');
  }
  return enterStep(run, to, prepared, nowMs);
}

/** The run once a question is answered: its answer is shown, by the beat that gives it where the lesson has one. */
export function answeredOwn(run: Run, askingId: string, prepared: PreparedLesson, nowMs: number): Run {
  const asking = run.askings.find(({ id }) => id === askingId);
  if (!asking || asking.phase === 'revealed') return run;
  const answer = prepared.steps.find(({ beat }) => beat.kind === 'answer' && beat.itemId === asking.item.id);
  const isHere = prepared.steps.some(({ ref, beat }) => sameStep(ref, run.at) && 'itemId' in beat && beat.itemId === asking.item.id);
  // An answer that had waited for the line may come when the pupil looks at an earlier step: nobody is moved then.
  return answer && isHere ? enterStep(run, answer.ref, prepared, nowMs) : setPhase(run, askingId, 'revealed', nowMs);
}
