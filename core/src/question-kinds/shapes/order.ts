import { dialLetter } from '../../scene/describe-stage.js';
import type { DialLayers } from '../../scene/dial-state.js';
import type { Choice } from './choices.js';

/** The cards in the order given, by their places from 0; none where the pupil gave up. */
export interface OrderAnswer {
  readonly order: readonly number[];
}

export interface OrderShapeView {
  readonly shape: 'order';
  readonly cards: readonly Choice[];
  readonly layers: DialLayers;
}

/** "B, A, C". */
export const orderText = ({ order }: OrderAnswer): string => (order.length === 0 ? 'blank' : order.map(dialLetter).join(', '));

export const sameOrder = (one: OrderAnswer, other: OrderAnswer): boolean => one.order.join() === other.order.join();

/** Whether an order can be given: every card once, or none at all. */
export function isOrder({ order }: OrderAnswer, cards: number): boolean {
  return order.length === 0 || (order.length === cards && new Set(order).size === cards && order.every((one) => one < cards));
}
