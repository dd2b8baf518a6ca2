import type { DialBuild, DialLayers, WordPackId } from '@zeitpunkt/core';
import type { SweepCount } from './sweep-of';

/** What can be chosen beside the dial, with the words on the buttons. */
interface Option<Value> {
  readonly value: Value;
  readonly text: string;
}

const NUMERALS: readonly Option<DialLayers['numerals']>[] = [
  { value: 'all', text: 'all' },
  { value: 'quarters', text: '12 3 6 9' },
  { value: 'none', text: 'none' },
];
const RING: readonly Option<DialLayers['minuteRing']>[] = [
  { value: 'full', text: 'fives' },
  { value: 'quarters', text: 'quarters' },
  { value: 'none', text: 'none' },
];
const RING_TOP: readonly Option<DialLayers['ringTop']>[] = [
  { value: '00', text: '00' },
  { value: '60', text: '60' },
  { value: 'oclock', text: 'o’clock' },
  { value: 'none', text: 'nothing' },
];
const HAND_INK: readonly Option<DialLayers['handInk']>[] = [
  { value: 'own', text: 'own' },
  { value: 'red-blue', text: 'red blue' },
  { value: 'blue-red', text: 'blue red' },
  { value: 'alike', text: 'alike' },
];
const DISPLAY: readonly Option<DialBuild['display']>[] = [
  { value: 'none', text: 'none' },
  { value: '12h', text: '12 h' },
  { value: '24h', text: '24 h' },
];
const SEPARATOR: readonly Option<DialBuild['separator']>[] = [
  { value: ':', text: '7:30' },
  { value: '.', text: '7.30' },
];
const WORDS: readonly Option<DialBuild['words']>[] = [
  { value: 'none', text: 'none' },
  { value: 'best', text: 'one' },
  { value: 'all', text: 'all' },
];
const PACK: readonly Option<WordPackId>[] = [
  { value: 'en-GB', text: 'British' },
  { value: 'en-US', text: 'American' },
  { value: 'de', text: 'German' },
];
const COUNT: readonly Option<SweepCount>[] = [
  { value: 'none', text: 'no count' },
  { value: 'ones', text: 'ones' },
  { value: 'fives', text: 'fives' },
  { value: 'quarters', text: 'quarters' },
];
/** Seconds for one turn of the minute hand. */
const PACE: readonly Option<number>[] = [
  { value: 60, text: 'slow' },
  { value: 30, text: 'calm' },
  { value: 10, text: 'fast' },
];
const PNG_WIDTH: readonly Option<number>[] = [
  { value: 800, text: '800' },
  { value: 1600, text: '1600' },
  { value: 3840, text: '3840' },
];
const SWITCHES = {
  face: [
    ['ticks', 'Ticks'],
    ['hourZones', 'Hour zones'],
    ['halves', 'Halves'],
    ['quarters', 'Quarters'],
    ['shaded', 'Shading'],
    ['ring24', '13 to 24'],
  ],
  hands: [
    ['hourHand', 'Hour hand'],
    ['minuteHand', 'Minute hand'],
    ['secondHand', 'Second hand'],
    ['peek', 'Peek'],
  ],
} as const satisfies Record<string, readonly (readonly [keyof DialLayers, string])[]>;

/** All of them, by what they choose. */
export const OPTIONS = {
  NUMERALS,
  RING,
  RING_TOP,
  HAND_INK,
  DISPLAY,
  SEPARATOR,
  WORDS,
  PACK,
  COUNT,
  PACE,
  PNG_WIDTH,
  SWITCHES,
} as const;

/** How long free hands take to snap into gear. */
export const SNAP_MS = 350;
