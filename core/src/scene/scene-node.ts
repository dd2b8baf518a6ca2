/**
 * A scene is a display list: plain data that every outlet (SVG, canvas, file) draws as it stands, in order, without any
 * geometry of its own. Angles are degrees clockwise; lengths are scene units, y runs downwards.
 */
export interface Scene {
  /** Size of the view box in scene units; its origin is the top left corner. */
  readonly width: number;
  readonly height: number;
  readonly nodes: readonly SceneNode[];
}

/** A colour by its part, not its value: the outlet's theme (light, dark, print) decides the value. */
export type Ink = 'ink' | 'soft' | 'faint' | 'face' | 'paper' | 'hour' | 'minute' | 'red' | 'blue' | 'accent' | 'zone' | 'none';

/** A colour value for every ink, as CSS writes it. */
export type Inks = Readonly<Record<Exclude<Ink, 'none'>, string>>;

interface Painted {
  readonly fill: Ink;
  readonly stroke?: Ink;
  readonly strokeWidth?: number;
  /** 0 (clear) to 1 (solid, the default). */
  readonly opacity?: number;
}

export interface CircleNode extends Painted {
  readonly type: 'circle';
  readonly id: string;
  readonly cx: number;
  readonly cy: number;
  readonly r: number;
}

export interface PathNode extends Painted {
  readonly type: 'path';
  readonly id: string;
  /** SVG path data with absolute M, L, A, Q, C and Z only, so that every outlet can follow it. */
  readonly d: string;
}

export interface TextNode {
  readonly type: 'text';
  readonly id: string;
  readonly x: number;
  /** Middle of the digits' height, not the baseline. */
  readonly y: number;
  readonly text: string;
  /** Font size in scene units. */
  readonly size: number;
  readonly bold?: boolean;
  readonly anchor: 'start' | 'middle' | 'end';
  readonly fill: Ink;
}

/** Nodes moved, scaled and turned together: first scaled, then turned about their origin, then moved. */
export interface GroupNode {
  readonly type: 'group';
  readonly id: string;
  readonly x: number;
  readonly y: number;
  readonly scale: number;
  readonly turnDeg: number;
  /** What a pointer may take hold of here. */
  readonly role?: 'hour-hand' | 'minute-hand' | 'dial';
  readonly nodes: readonly SceneNode[];
}

export type SceneNode = CircleNode | PathNode | TextNode | GroupNode;

/** A number as short path data: at most two decimals. */
export function coordinate(value: number): string {
  return String(Math.round(value * 100) / 100);
}

/** The point at a distance from the origin in a direction (degrees clockwise from 12). */
export function pointAt(deg: number, radius: number): readonly [x: number, y: number] {
  const rad = (deg * Math.PI) / 180;
  return [radius * Math.sin(rad), -radius * Math.cos(rad)];
}

/** Path data of a sector from the origin, clockwise between two angles; a full turn gives the whole disc. */
export function sectorPath(fromDeg: number, toDeg: number, radius: number): string {
  return `M0 0 L${arcBody(fromDeg, toDeg, radius)} Z`;
}

/** Path data of an arc about the origin, clockwise between two angles. */
export function arcPath(fromDeg: number, toDeg: number, radius: number): string {
  return `M${arcBody(fromDeg, toDeg, radius)}`;
}

function arcBody(fromDeg: number, toDeg: number, radius: number): string {
  const span = Math.min(359.99, Math.max(0, toDeg - fromDeg)); // one SVG arc cannot close a full turn
  const [x1, y1] = pointAt(fromDeg, radius).map(coordinate);
  const [x2, y2] = pointAt(fromDeg + span, radius).map(coordinate);
  const r = coordinate(radius);
  return `${x1} ${y1} A${r} ${r} 0 ${span > 180 ? 1 : 0} 1 ${x2} ${y2}`;
}
