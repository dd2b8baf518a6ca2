import { beatKindOf } from '../beats/registry.js';
import type { StageState } from '../scene/stage-state.js';
import { stepIndex, type PreparedLesson, type Step } from '../lesson/prepare.js';
import type { StepRef } from '../lesson/step-ref.js';

/** The step at a place of a lesson. @throws CoreError ROOM_POSITION_RANGE */
export function stepAt(prepared: PreparedLesson, at: StepRef): Step {
  return prepared.steps[stepIndex(prepared, at)]!;
}

/**
 * What the stage shows at a moment. Live teaching, rehearsal, pictures and tests all ask here; nothing else decides it.
 * @param elapsedMs milliseconds since the step began, 0 or more; past its duration the stage has settled
 * @param isRevealed whether the answer to an item may be seen; all of them when absent
 */
export function stageAt(
  prepared: PreparedLesson,
  at: StepRef,
  elapsedMs: number,
  isRevealed: (itemId: string) => boolean = () => true,
): StageState {
  const step = stepAt(prepared, at);
  return beatKindOf(step.beat).at(stageBefore(step, isRevealed), step.beat, elapsedMs, step.context);
}

/** The stage as a step leaves it, with the answers that it shows. */
export const settledStage = ({ beat, before, context }: Step): StageState => beatKindOf(beat).at(before, beat, Infinity, context);

/** The stage that a step begins with, without the answer to an item that may not be seen. */
export function stageBefore({ showsAnswerTo, before, beforeUnrevealed }: Step, isRevealed: (itemId: string) => boolean): StageState {
  return showsAnswerTo === null || isRevealed(showsAnswerTo) ? before : beforeUnrevealed;
}

/** How long the stage of a step moves by itself, in milliseconds. */
export function motionMs(prepared: PreparedLesson, at: StepRef): number {
  const { beat, context } = stepAt(prepared, at);
  return beatKindOf(beat).motionMs(beat, context);
}

/** What the teacher says at a step, as notes to read out. */
export function narrationAt(prepared: PreparedLesson, at: StepRef): string {
  const { beat, context } = stepAt(prepared, at);
  return beatKindOf(beat).narration(beat, context);
}
