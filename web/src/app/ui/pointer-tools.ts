import { getStroke } from 'perfect-freehand';
import type { DialMark } from '@zeitpunkt/core/scene/dial-state';
import { turnDeg, wrapDeg } from '@zeitpunkt/core/dial/pose';

/** A place on the dial in dial units about its centre, y downwards; the face has a radius of 100. */
export interface DialPoint {
  readonly x: number;
  readonly y: number;
}

/** What can be done to a dial by pointing at it. */
export const POINTER_TOOLS = ['turn', 'ring', 'ray', 'arc', 'ink', 'gap'] as const;
export type PointerTool = (typeof POINTER_TOOLS)[number];

/** The tool after one, round and round. */
export function toolAfter(tools: readonly PointerTool[], tool: PointerTool): PointerTool {
  return tools[(tools.indexOf(tool) + 1) % tools.length]!;
}

/** Minutes that an arc counts in. */
export type ArcBy = 1 | 5 | 15;
export const ARC_BY: readonly ArcBy[] = [1, 5, 15];

export function degOf({ x, y }: DialPoint): number {
  return wrapDeg((Math.atan2(x, -y) * 180) / Math.PI);
}

export const numeralAt = (point: DialPoint): number => Math.round(degOf(point) / 30) % 12 || 12;

/** The minute of the rim that a point is nearest to, in steps. */
export function minuteAt(point: DialPoint, step: number): number {
  return (Math.round(degOf(point) / 6 / step) * step) % 60;
}

/** The marks with one put there, or taken away where it is already. */
export function toggled(marks: readonly DialMark[], mark: DialMark): DialMark[] {
  const text = JSON.stringify(mark);
  const without = marks.filter((one) => JSON.stringify(one) !== text);
  return without.length < marks.length ? without : [...marks, mark];
}

/** A numeral left out of the face, or put back. */
export function toggledGap(gaps: readonly number[], numeral: number): number[] {
  return gaps.includes(numeral) ? gaps.filter((one) => one !== numeral) : [...gaps, numeral].sort((a, b) => a - b);
}

/** An arc dragged from one point to another, clockwise when dragged clockwise. */
export function arcMark(from: DialPoint, to: DialPoint, by: 1 | 5 | 15): DialMark | null {
  const [start, end] = [minuteAt(from, by), minuteAt(to, by)];
  if (start === end) return null;
  const clockwise = turnDeg(degOf(from), degOf(to)) > 0;
  return clockwise ? { type: 'arc', fromMinute: start, toMinute: end, by } : { type: 'arc', fromMinute: end, toMinute: start, by };
}

/** The longest path of an ink mark, in characters; the contract takes no more. */
const LONGEST_INK = 20_000;

/** A freehand line as the outline of a pen's stroke, in dial units. A very long line is drawn from fewer of its points. */
export function inkMark(id: string, points: readonly DialPoint[]): DialMark | null {
  const outline = getStroke(
    points.map(({ x, y }) => [x, y]),
    { size: 4.5, thinning: 0.4, smoothing: 0.6, streamline: 0.4 },
  );
  if (outline.length < 3) return null;
  const d = `M${outline.map(([x, y]) => `${x!.toFixed(1)} ${y!.toFixed(1)}`).join(' L')} Z`;
  if (d.length <= LONGEST_INK) return { type: 'ink', id, d };
  const every = Math.ceil(d.length / LONGEST_INK) + 1;
  return inkMark(
    id,
    points.filter((_, index) => index % every === 0),
  );
}
