import { oneOf } from '../slips.js';
import type { Rng } from '../../random/rng.js';
import type { Judgement } from '../question-kind.js';

/** A number for each place, as typed: up to three digits, or none where it was given up. */
export interface NumbersAnswer {
  readonly values: readonly string[];
}

export interface NumbersShapeView {
  readonly shape: 'numbers';
  /** What stands before each box: a letter of the picture, a numeral, or nothing. */
  readonly labels: readonly string[];
  /** What stands behind the boxes: "minutes". */
  readonly unit: string;
}

export const numbersText = ({ values }: NumbersAnswer): string =>
  values.every((value) => value === '') ? 'blank' : values.map((value) => value || '_').join(', ');

export const sameNumbers = (one: NumbersAnswer, other: NumbersAnswer): boolean =>
  one.values.length === other.values.length && one.values.every((value, place) => value !== '' && sameNumber(value, other.values[place]!));

const sameNumber = (one: string, other: string): boolean => other !== '' && Number(one) === Number(other);

export function judgeNumbers(key: readonly number[], { values }: NumbersAnswer): Judgement {
  const right = key.map((wanted, place) => sameNumber(String(wanted), values[place] ?? ''));
  const parts = right.map((one) => ({ part: 'numbers', right: one }) as const);
  if (values.every((value) => value === '')) return { verdict: 'blank', parts };
  if (right.every(Boolean)) return { verdict: 'right', parts };
  return { verdict: right.some(Boolean) ? 'partly' : 'not-yet', parts };
}

/** One of the numbers a little off, or left out. */
export function slipOfNumbers(key: readonly number[], rng: Rng): NumbersAnswer {
  const place = Math.floor(rng() * key.length);
  const off = oneOf([1, -1, 10], rng);
  const value = key.length > 1 && rng() < 0.3 ? '' : String(Math.abs(key[place]! + off));
  return { values: key.map((one, index) => (index === place ? value : String(one))) };
}
