import { motionMs, stageAt } from '../stage/player.js';
import type { PreparedLesson } from '../lesson/prepare.js';
import { kindOf } from '../question-kinds/registry.js';
import type { StageState } from '../scene/stage-state.js';
import { currentAsking, isRevealed, type Run } from './run.js';

/**
 * What the stage of a run shows at a moment: the question beside the script, or the script with the answers that have been
 * revealed and no others.
 * @param elapsedMs milliseconds since the run entered where it stands
 */
export function stageOfRun(prepared: PreparedLesson, run: Run, elapsedMs: number): StageState {
  const beside = run.besideId === null ? null : currentAsking(run, prepared);
  if (!beside) return stageAt(prepared, run.at, elapsedMs, isRevealed(run));
  const kind = kindOf(beside.item);
  const { settings } = prepared.lesson;
  return beside.phase === 'revealed' ? kind.answered(beside.item, settings) : kind.asked(beside.item, settings);
}

/** How long that stage moves by itself, in milliseconds; a question beside the script stands still. */
export function motionOfRun(prepared: PreparedLesson, run: Run): number {
  return run.besideId === null ? motionMs(prepared, run.at) : 0;
}
