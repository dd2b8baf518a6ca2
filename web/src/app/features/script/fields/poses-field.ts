import type { ItemOf } from '@zeitpunkt/core';
import type { BeatField } from './beat-field';
import { choiceLines, choicesTyped } from '../composer/choice-lines';

/** The dials that may be possible or not, one a line. */
export const posesField: BeatField = {
  key: 'poses',
  label: 'Dials',
  type: 'lines',
  hint: 'One a line: dial 9:30, or dial 9:30 short hand at 9',
  read: (item, settings) =>
    choiceLines(
      (item as ItemOf<'possible-dial'>).poses.map((pose) => ({ ...pose, numerals: 'all' })),
      settings,
    ),
  write(text, _item, settings) {
    const typed = choicesTyped(text, 4, settings, 1);
    if ('problem' in typed) return typed;
    const poses = typed.choices.flatMap((choice) => ('text' in choice ? [] : [{ hourDeg: choice.hourDeg, minuteDeg: choice.minuteDeg }]));
    return poses.length < typed.choices.length ? { problem: 'Each line begins with dial and a time.' } : { change: { poses } };
  },
};
