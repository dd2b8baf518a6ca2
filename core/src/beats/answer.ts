import { narrationMs } from '../lesson/settings.js';
import { kindOf } from '../question-kinds/registry.js';
import { spokenAnswer } from '../question-kinds/spoken-answer.js';
import type { BeatContext, BeatKind } from './beat-kind.js';

/** Closes an item and shows its key with the reason. */
export interface AnswerBeat {
  readonly kind: 'answer';
  readonly itemId: string;
}

function narration(beat: AnswerBeat, { itemOf, settings }: BeatContext): string {
  return spokenAnswer(itemOf(beat.itemId), settings);
}

export const answerBeat: BeatKind<AnswerBeat> = {
  name: 'Answer',
  does: 'ask',
  durationMs: (beat, context) => narrationMs(narration(beat, context), context.settings) + 3000,
  narration,
  keeps: [],
  at(_before, beat, _elapsedMs, { itemOf, settings }) {
    const item = itemOf(beat.itemId);
    return kindOf(item).answered(item, settings);
  },
  motionMs: () => 0,
};
