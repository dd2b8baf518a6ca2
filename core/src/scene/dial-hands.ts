import type { DialState } from './dial-state.js';
import type { GroupNode, PathNode, SceneNode } from './scene-node.js';
import { turnDeg } from '../dial/pose.js';

// Both hands point to 12. They differ in length, width and tip: a broad leaf that ends before the numerals, and a slim bar
// with an arrow among the ticks. Where it crosses the numerals the bar thins, so that the numeral under it can be read.
export const HOUR_HAND = 'M-3.4 12 L-3.4 -22 Q-10 -34 0 -57 Q10 -34 3.4 -22 L3.4 12 Z';
export const MINUTE_HAND = 'M-2.5 15 L-2.5 -56 L-0.9 -62 L-0.9 -82 L-5 -82 L0 -97 L5 -82 L0.9 -82 L0.9 -62 L2.5 -56 L2.5 15 Z';
/** How far the hands reach from the centre, in dial units. */
export const HAND_REACH = { hour: 57, minute: 97 } as const;
const HALO = 3.2;

const HAND_INKS = {
  own: { hour: 'hour', minute: 'minute' },
  'red-blue': { hour: 'red', minute: 'blue' },
  'blue-red': { hour: 'blue', minute: 'red' },
  alike: { hour: 'ink', minute: 'ink' },
} as const;

/** Below this angle between the hands the minute hand would hide the hour hand, in degrees. */
const PEEK_DEG = 9;

/**
 * The hands of a dial, the minute hand on top. Where they overlap, the covering minute hand turns to an outline (*peek*),
 * so that the hour hand never vanishes.
 */
export function dialHands(dial: DialState): SceneNode[] {
  const { pose, layers, marks } = dial;
  const marked = (hand: 'hour' | 'minute') => marks.some((mark) => mark.type === 'hand' && mark.hand === hand);
  const inks = HAND_INKS[layers.handInk];
  const nodes: SceneNode[] = [];
  if (layers.hourHand) {
    nodes.push(hand('hour', pose.hourDeg, { type: 'path', id: 'hour-shape', d: HOUR_HAND, fill: inks.hour }, marked('hour')));
  }
  if (layers.minuteHand) {
    const overlap = Math.abs(turnDeg(pose.hourDeg, pose.minuteDeg)) < PEEK_DEG;
    const outline = layers.peek && layers.hourHand && overlap;
    const paint = outline ? ({ fill: 'none', stroke: inks.minute, strokeWidth: 1.4 } as const) : { fill: inks.minute };
    nodes.push(hand('minute', pose.minuteDeg, { type: 'path', id: 'minute-shape', d: MINUTE_HAND, ...paint }, marked('minute')));
  }
  if (layers.secondHand) {
    const shape: PathNode = { type: 'path', id: 'second-shape', d: 'M0 20 L0 -92', fill: 'none', stroke: 'ink', strokeWidth: 1 };
    nodes.push({ type: 'group', id: 'second-hand', x: 0, y: 0, scale: 1, turnDeg: dial.secondDeg, nodes: [shape] });
  }
  if (nodes.length > 0) nodes.push({ type: 'circle', id: 'hub', cx: 0, cy: 0, r: 5, fill: 'ink' });
  return nodes;
}

function hand(which: 'hour' | 'minute', turn: number, shape: PathNode, marked: boolean): GroupNode {
  const halo: PathNode = { type: 'path', id: `${which}-halo`, d: shape.d, fill: 'none', stroke: 'accent', strokeWidth: HALO * 2 };
  return {
    type: 'group',
    id: `${which}-hand`,
    role: `${which}-hand`,
    x: 0,
    y: 0,
    scale: 1,
    turnDeg: turn,
    nodes: marked ? [halo, shape] : [shape],
  };
}
