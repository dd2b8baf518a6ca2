import { mistakenReading } from '@zeitpunkt/core/beats/mistake';
import { MISCONCEPTION_IDS, misconceptionOf, type MisconceptionId } from '@zeitpunkt/core/misconceptions/registry';
import type { ItemOf } from '@zeitpunkt/core/question-kinds/registry';
import type { BeatField } from './beat-field';
import { FIELD_WORDS } from './words';

/** Ideas that can explain a wrong reading. */
const READING_IDEAS = MISCONCEPTION_IDS.filter((id) => misconceptionOf(id).howItCame !== undefined).map((value) => ({
  value,
  text: misconceptionOf(value).name,
}));

/** The idea that a wrong reading is to be explained by. */
export const misconceptionField = (w = FIELD_WORDS()): BeatField => ({
  key: 'misconception',
  label: w.theMistakeComesFrom,
  type: 'choice',
  options: READING_IDEAS,
  read: (item) => (item as ItemOf<'explain-mistake'>).misconception,
  write(text, item, settings) {
    const { choices, misconception: before, timeSec } = item as ItemOf<'explain-mistake'>;
    const misconception = text as MisconceptionId;
    if (!mistakenReading({ timeSec, misconception }, settings)) return { problem: w.noDifference };
    // It stands in the place of the one before, unless it is a choice already.
    return {
      change: {
        misconception,
        choices: choices.includes(misconception) ? choices : choices.map((one) => (one === before ? misconception : one)),
      },
    };
  },
});
