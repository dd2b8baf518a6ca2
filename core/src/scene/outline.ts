import { coordinate } from './scene-node.js';

type Point = readonly [x: number, y: number];

/** Straight pieces of a curve: a hand's tip is nowhere off by a tenth of a dial unit, which is less than a pixel. */
const PIECES = 12;
const known = new Map<string, readonly Point[] | null>();

/**
 * The outline that path data draws, point by point, its curves as short straight pieces.
 * @param d one piece of path data of absolute M, L, Q and Z
 * @returns null for what else path data can be: arcs, other curves
 */
export function outlineOf(d: string): readonly Point[] | null {
  let points = known.get(d);
  if (points === undefined) known.set(d, (points = pointsOf(d)));
  return points;
}

/** Points turned about the origin, `deg` degrees clockwise, as an SVG polygon has them. */
export function turnedPoints(points: readonly Point[], deg: number): string {
  const rad = (deg * Math.PI) / 180;
  const [sin, cos] = [Math.sin(rad), Math.cos(rad)];
  return points.map(([x, y]) => `${coordinate(x * cos - y * sin)},${coordinate(x * sin + y * cos)}`).join(' ');
}

function pointsOf(d: string): readonly Point[] | null {
  const points: Point[] = [];
  for (const [, letter, rest] of d.matchAll(/([A-Z])([^A-Z]*)/g)) {
    const numbers = rest!.match(/-?[\d.]+/g)?.map(Number) ?? [];
    if (letter === 'Q') points.push(...curve(points.at(-1)!, numbers));
    else if (letter === 'L' || (letter === 'M' && points.length === 0)) points.push([numbers[0]!, numbers[1]!]);
    else if (letter !== 'Z') return null;
  }
  return points;
}

/** Points of a quadratic Bézier curve after its first one. */
function curve([x0, y0]: Point, [x1 = 0, y1 = 0, x2 = 0, y2 = 0]: readonly number[]): Point[] {
  return Array.from({ length: PIECES }, (_, piece) => {
    const t = (piece + 1) / PIECES;
    const [from, over, to] = [(1 - t) ** 2, 2 * t * (1 - t), t ** 2];
    return [from * x0 + over * x1 + to * x2, from * y0 + over * y1 + to * y2] as const;
  });
}
