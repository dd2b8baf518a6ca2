import type { ItemOf } from '@zeitpunkt/core/question-kinds/registry';
import type { BeatField } from './beat-field';
import { FIELD_WORDS } from './words';
import { split } from './item-field-makers';

/** Places of a row that are gaps, counted from 1; the first two show the step. */
export const gapsField = (w = FIELD_WORDS()): BeatField => ({
  key: 'gaps',
  label: w.gaps,
  type: 'line',
  hint: w.gapsHint,
  read: (item) => (item as ItemOf<'pattern'>).gaps.map((gap) => gap + 1).join(', '),
  write(text, item) {
    const { count } = item as ItemOf<'pattern'>;
    const places = split(text).map(Number);
    const isPlace = (one: number) => Number.isInteger(one) && one >= 3 && one <= count;
    if (places.length < 1 || !places.every(isPlace) || new Set(places).size < places.length) return { problem: w.placesTo(count) };
    return { change: { gaps: places.map((one) => one - 1).sort((one, other) => one - other) } };
  },
});
