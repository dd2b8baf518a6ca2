import { beatKindOf } from '../beats/registry.js';
import type { StageState } from '../scene/stage-state.js';
import type { PreparedLesson, Step } from './prepare.js';

/**
 * What the stage shows at a moment. Live teaching, rehearsal, pictures and tests all ask here; nothing else decides it.
 * @param step index into `prepared.steps`
 * @param elapsedMs milliseconds since the step began, 0 or more; past its duration the stage has settled
 */
export function stageAt(prepared: PreparedLesson, step: number, elapsedMs: number): StageState {
  const { beat, before } = stepAt(prepared, step);
  return beatKindOf(beat).at(before, beat, elapsedMs, prepared.context);
}

/** How long the stage of a step moves by itself, in milliseconds. */
export function motionMs(prepared: PreparedLesson, step: number): number {
  return beatKindOf(stepAt(prepared, step).beat).motionMs(stepAt(prepared, step).beat, prepared.context);
}

/** What the teacher says at a step, as notes to read out. */
export function narrationAt(prepared: PreparedLesson, step: number): string {
  const { beat } = stepAt(prepared, step);
  return beatKindOf(beat).narration(beat, prepared.context);
}

function stepAt(prepared: PreparedLesson, step: number): Step {
  return prepared.steps[Math.min(Math.max(0, step), prepared.steps.length - 1)]!;
}
