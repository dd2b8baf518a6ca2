import { MISCONCEPTION_IDS, misconceptionOf, mistakenReading, type ItemOf, type MisconceptionId } from '@zeitpunkt/core';
import type { BeatField } from './beat-field';

/** Ideas that can explain a wrong reading. */
const READING_IDEAS = MISCONCEPTION_IDS.filter((id) => misconceptionOf(id).howItCame !== undefined).map((value) => ({
  value,
  text: misconceptionOf(value).name,
}));

/** The idea that a wrong reading is to be explained by. */
export const misconceptionField: BeatField = {
  key: 'misconception',
  label: 'The mistake comes from',
  type: 'choice',
  options: READING_IDEAS,
  read: (item) => (item as ItemOf<'explain-mistake'>).misconception,
  write(text, item, settings) {
    const { choices, misconception: before, timeSec } = item as ItemOf<'explain-mistake'>;
    const misconception = text as MisconceptionId;
    if (!mistakenReading({ timeSec, misconception }, settings)) return { problem: 'At this time this idea makes no difference.' };
    // It stands in the place of the one before, unless it is a choice already.
    return {
      change: {
        misconception,
        choices: choices.includes(misconception) ? choices : choices.map((one) => (one === before ? misconception : one)),
      },
    };
  },
};
