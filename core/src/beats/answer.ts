import { spokenReason } from '../lesson/reason.js';
import { narrationMs } from '../lesson/settings.js';
import { kindOf } from '../question-kinds/registry.js';
import { toSecondOfDay } from '../time/second-of-day.js';
import type { BeatContext, BeatKind } from './beat-kind.js';

/** Closes an item and shows its key with the reason. */
export interface AnswerBeat {
  readonly kind: 'answer';
  readonly itemId: string;
}

function reason(beat: AnswerBeat, context: BeatContext): string {
  return spokenReason(toSecondOfDay(context.itemOf(beat.itemId).timeSec), context.settings);
}

export const answerBeat: BeatKind<AnswerBeat> = {
  name: 'Answer',
  durationMs: (beat, context) => narrationMs(reason(beat, context), context.settings) + 3000,
  narration: reason,
  at(before, beat, _elapsedMs, context) {
    const item = context.itemOf(beat.itemId);
    return kindOf(item).answered(before, item, context.settings);
  },
  motionMs: () => 0,
};
