import type { DialMark } from './dial-state.js';
import type { StageState } from './stage-state.js';

/** The stage with marks on top of its own; the same stage where there are none. */
export function withMarks(stage: StageState, marks: readonly DialMark[]): StageState {
  return stage.dial && marks.length > 0 ? { ...stage, dial: { ...stage.dial, marks: [...stage.dial.marks, ...marks] } } : stage;
}
