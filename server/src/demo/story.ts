import type { RungId } from '@zeitpunkt/core/ladder/registry';
import type { MisconceptionId } from '@zeitpunkt/core/misconceptions/registry';
import type { PupilProfile } from '@zeitpunkt/core/rehearsal/simulated-pupil';
import type { TERNS } from './terns.js';

type Tern = (typeof TERNS)[number];

/** A lesson that the demo class was taught: one of those that are ready, by its place, or one that is drafted and put away. */
export type Taught = { readonly ready: number } | { readonly rung: RungId; readonly minutes: number; readonly seed: number };

/**
 * What the Terns were taught on Tuesdays and Thursdays of five weeks, and on the last school day: from whole hours to five to,
 * with half past and quarter to taken up again when they had settled.
 */
export const TAUGHT: readonly Taught[] = [
  { rung: 'whole-hours', minutes: 8, seed: 11 },
  { rung: 'half-past', minutes: 9, seed: 12 },
  { ready: 0 },
  { rung: 'quarter-past', minutes: 9, seed: 14 },
  { ready: 1 },
  { rung: 'quarter-to', minutes: 10, seed: 16 },
  { rung: 'half-past', minutes: 9, seed: 17 },
  { rung: 'five-past', minutes: 10, seed: 18 },
  { rung: 'five-to', minutes: 11, seed: 19 },
  { rung: 'quarter-to', minutes: 11, seed: 20 },
  { ready: 2 },
];

/** Wrong ideas that some of the Terns come with, the strongest first, and after how many lessons each has let go of one. */
const HELD: Partial<Record<Tern, readonly (readonly [MisconceptionId, number])[]>> = {
  Bashir: [['coming-hour', 6]],
  Dov: [
    ['nearest-hour', 99],
    ['coming-hour', 5],
  ],
  Gita: [['hands-exchanged', 4]],
  Jory: [
    ['numeral-as-minutes', 99],
    ['to-as-past', 99],
  ],
  Kaia: [['to-keeps-hour', 99]],
  Leif: [['nearest-hour', 8]],
  Mirela: [['nearest-hour', 99]],
  Noor: [['half-of-coming-hour', 5]],
  Oskar: [['to-keeps-hour', 99]],
  Runa: [['counts-other-way', 99]],
  Sami: [['coming-hour', 3]],
  Tove: [['quarter-is-25', 7]],
  Ulla: [['hour-hand-on-numeral', 99]],
  Zeb: [
    ['zero-dropped', 9],
    ['hour-hand-on-numeral', 6],
  ],
};
/** Those who need longer, and those who slip more often. */
const SLOW = new Set<string>(['Elin', 'Pia', 'Quill']);
const CARELESS = new Set<string>(['Femi', 'Yusra']);

/** Who was not there, by the number of the lesson, from 0. */
export const ABSENT: Readonly<Record<number, readonly Tern[]>> = {
  0: ['Viggo'],
  1: ['Inka', 'Bo'],
  2: ['Inka', 'Viggo'],
  3: ['Mirela'],
  4: ['Hamza', 'Inka'],
  6: ['Viggo', 'Wren'],
  7: ['Ceri'],
  8: ['Inka'],
  9: ['Viggo', 'Hamza', 'Bo'],
  10: ['Inka', 'Viggo'],
};
/** Two came when the lesson had begun. */
export const LATE: Readonly<Record<number, readonly Tern[]>> = { 5: ['Pia'], 8: ['Anouk'] };
/** Whose line dropped: what they gave came after the question was closed. */
export const DROPPED: Readonly<Record<number, readonly Tern[]>> = { 1: ['Dov'], 4: ['Wren', 'Tove'], 7: ['Kaia'], 10: ['Ceri'] };
/** One had no device that day: the answers came on paper, and the teacher typed them in. */
export const ON_PAPER: Readonly<Record<number, readonly Tern[]>> = { 6: ['Quill'] };

/** How a pupil was when so many lessons had been given: ideas are let go of, and slips become fewer. */
export function profileAfter(name: string, lessons: number): PupilProfile {
  const held = HELD[name as Tern] ?? [];
  const learnt = lessons / TAUGHT.length;
  return {
    misconceptions: held.flatMap(([idea, until]) => (lessons < until ? [idea] : [])),
    firmness: 0.9 - 0.15 * learnt,
    carelessness: (CARELESS.has(name) ? 0.22 : 0.1) * (1 - 0.5 * learnt),
    skill: 0.86 + 0.12 * learnt,
    paceMs: (SLOW.has(name) ? 15_000 : 9500) * (1 - 0.25 * learnt),
  };
}
