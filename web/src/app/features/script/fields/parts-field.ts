import type { ClockPart, ItemOf } from '@zeitpunkt/core';
import type { BeatField } from './beat-field';

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
export const partsField: BeatField = {
  key: 'of',
  label: 'Parts of',
  type: 'choice',
  options: [
    { value: 'dial', text: 'a dial' },
    { value: 'hands', text: 'a dial, its hands only' },
    { value: 'display', text: 'a display' },
  ],
  read: (item) => partsOf((item as ItemOf<'label-parts'>).parts),
  write: (text, item) =>
    partsOf((item as ItemOf<'label-parts'>).parts) === text
      ? { change: { parts: (item as ItemOf<'label-parts'>).parts } }
      : { change: { parts: PARTS[text as keyof typeof PARTS], names: [...PARTS[text as keyof typeof PARTS]].reverse() } },
};
