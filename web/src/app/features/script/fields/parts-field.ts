import type { ClockPart } from '@zeitpunkt/core/acts/acts';
import type { ItemOf } from '@zeitpunkt/core/question-kinds/registry';
import type { BeatField } from './beat-field';
import { FIELD_WORDS } from './words';

const PARTS = {
  dial: ['short-hand', 'tick', 'long-hand', 'numeral'],
  hands: ['short-hand', 'long-hand'],
  display: ['hours', 'colon', 'minutes'],
} as const satisfies Record<string, readonly ClockPart[]>;

const partsOf = (parts: readonly ClockPart[]): keyof typeof PARTS => {
  if (parts.includes('hours')) return 'display';
  return parts.includes('tick') || parts.includes('numeral') ? 'dial' : 'hands';
};

/** The parts that are to be named; their names stand in another order. */
export const partsField = (w = FIELD_WORDS()): BeatField => ({
  key: 'of',
  label: w.partsOf,
  type: 'choice',
  options: [
    { value: 'dial', text: w.aDial },
    { value: 'hands', text: w.aDialItsHandsOnly },
    { value: 'display', text: w.aDisplay },
  ],
  read: (item) => partsOf((item as ItemOf<'label-parts'>).parts),
  write: (text, item) =>
    partsOf((item as ItemOf<'label-parts'>).parts) === text
      ? { change: { parts: (item as ItemOf<'label-parts'>).parts } }
      : { change: { parts: PARTS[text as keyof typeof PARTS], names: [...PARTS[text as keyof typeof PARTS]].reverse() } },
});
