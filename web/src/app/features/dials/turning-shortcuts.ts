import type { HandId } from '@zeitpunkt/core/dial/pose';
import type { Shortcut } from '../../shared/shortcuts';

/** The keys that turn a hand: what, which, by how many degrees, and the keys for back and on in either half of a keyboard. */
const TURNS: readonly [text: string, hand: HandId, byDeg: number, left: readonly string[], right: readonly string[]][] = [
  ['1 minute', 'minute', 6, ['A', 'D'], ['ArrowLeft', 'ArrowRight']],
  ['5 minutes', 'minute', 30, ['S', 'W'], ['ArrowDown', 'ArrowUp']],
  ['15 minutes', 'minute', 90, ['Q', 'E'], ['PageDown', 'PageUp']],
  ['30 minutes', 'minute', 180, ['Shift+Q', 'Shift+E'], ['Shift+PageDown', 'Shift+PageUp']],
  ['60 minutes', 'minute', 360, ['Shift+S', 'Shift+W'], ['End', 'Home']],
  ['Hour hand a little', 'hour', 2.5, ['Shift+A', 'Shift+D'], ['Shift+ArrowLeft', 'Shift+ArrowRight']],
];

/** @param turn turns a hand by signed degrees, clockwise positive */
export function turningShortcuts(turn: (hand: HandId, byDeg: number) => void): readonly Shortcut[] {
  return TURNS.map(([text, hand, byDeg, left, right]) => ({
    left,
    right,
    text: `${text} back, on`,
    repeats: true,
    act: (place) => turn(hand, place === 0 ? -byDeg : byDeg),
  }));
}
