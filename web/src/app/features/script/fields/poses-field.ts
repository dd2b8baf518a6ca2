import type { ItemOf } from '@zeitpunkt/core/question-kinds/registry';
import type { BeatField } from './beat-field';
import { FIELD_WORDS } from './words';
import { choiceLines, choicesTyped } from '../composer/choice-lines';

/** The dials that may be possible or not, one a line. */
export const posesField = (w = FIELD_WORDS()): BeatField => ({
  key: 'poses',
  label: w.dials,
  type: 'lines',
  hint: w.posesHint,
  read: (item, settings) =>
    choiceLines(
      (item as ItemOf<'possible-dial'>).poses.map((pose) => ({ ...pose, numerals: 'all' })),
      settings,
    ),
  write(text, _item, settings) {
    const typed = choicesTyped(text, 4, settings, 1);
    if ('problem' in typed) return typed;
    const poses = typed.choices.flatMap((choice) => ('text' in choice ? [] : [{ hourDeg: choice.hourDeg, minuteDeg: choice.minuteDeg }]));
    return poses.length < typed.choices.length ? { problem: w.dialAndTime } : { change: { poses } };
  },
});
