import { dialLetter } from '../../scene/describe-stage.js';
import type { DialLayers } from '../../scene/dial-state.js';
import type { Judgement } from '../question-kind.js';
import type { Choice } from './choices.js';

/** For each card the place of the partner that belongs to it; null where none was chosen. */
export interface PairsAnswer {
  readonly pairs: readonly (number | null)[];
}

export interface PairsShapeView {
  readonly shape: 'pairs';
  readonly cards: readonly Choice[];
  readonly partners: readonly Choice[];
  readonly layers: DialLayers;
}

/** "A 2, B 1, C –": cards have letters, partners numbers. */
export const pairsText = ({ pairs }: PairsAnswer): string =>
  pairs.every((one) => one === null)
    ? 'blank'
    : pairs.map((one, place) => `${dialLetter(place)} ${one === null ? '–' : one + 1}`).join(', ');

export const samePairs = (one: PairsAnswer, other: PairsAnswer): boolean => one.pairs.join() === other.pairs.join();

/** Whether pairs can be given: a partner belongs to one card at most. */
export function arePairs({ pairs }: PairsAnswer, cards: number, partners: number): boolean {
  const taken = pairs.filter((one) => one !== null);
  return pairs.length === cards && new Set(taken).size === taken.length && taken.every((one) => one < partners);
}

export function judgePairs(key: readonly (number | null)[], { pairs }: PairsAnswer): Judgement {
  const right = key.map((wanted, place) => wanted === (pairs[place] ?? null));
  const parts = right.map((one) => ({ part: 'pairs', right: one }) as const);
  if (pairs.every((one) => one === null)) return { verdict: 'blank', parts };
  if (right.every(Boolean)) return { verdict: 'right', parts };
  return { verdict: right.some(Boolean) ? 'partly' : 'not-yet', parts };
}
