import type { DialLayers } from './dial-state.js';
import type { SceneNode } from './scene-node.js';
import { coordinate, pointAt, sectorPath } from './scene-node.js';

/** Radius of the face in dial units; the minute ring stands outside it, up to {@link DIAL_EXTENT}. */
export const FACE_RADIUS = 100;
export const DIAL_EXTENT = 122;
/** Where the numerals stand. */
export const NUMERAL_RADIUS = 72;

/** Where the hours from 13 to 24 stand, inside the numerals. */
const RING24_RADIUS = 54;
/** Where the minute numbers stand, outside the rim. */
export const RING_RADIUS = 111;

const faces = new WeakMap<DialLayers, readonly SceneNode[]>();

/** Everything of a dial that stays while its hands move. The same layers give the same nodes, so outlets can skip them. */
export function dialFace(layers: DialLayers): readonly SceneNode[] {
  let face = faces.get(layers);
  if (!face) {
    face = [...disc(), ...zones(layers), ...parts(layers), ...ticks(layers), ...numerals(layers), ...ring24(layers), ...minuteRing(layers)];
    faces.set(layers, face);
  }
  return face;
}

function disc(): SceneNode[] {
  return [{ type: 'circle', id: 'face', cx: 0, cy: 0, r: FACE_RADIUS, fill: 'face', stroke: 'ink', strokeWidth: 2.4 }];
}

/** Every second zone is filled; where the face is shaded as well, two fills would be mud, and the zones are lines of the hour's ink. */
function zones(layers: DialLayers): SceneNode[] {
  if (!layers.hourZones) return [];
  if (layers.shaded) {
    return Array.from({ length: 12 }, (_, hour) => {
      const [x, y] = pointAt(hour * 30, FACE_RADIUS - 2).map(coordinate);
      return { type: 'path', id: `zone-${hour || 12}`, d: `M0 0 L${x} ${y}`, fill: 'none', stroke: 'hour', strokeWidth: 1, opacity: 0.7 };
    });
  }
  return [0, 2, 4, 6, 8, 10].map((hour) => ({
    type: 'path',
    id: `zone-${hour || 12}`,
    d: sectorPath(hour * 30, hour * 30 + 30, FACE_RADIUS - 1.2),
    fill: 'zone',
    opacity: 0.5,
  }));
}

function parts(layers: DialLayers): SceneNode[] {
  const lines = layers.quarters ? [0, 90, 180, 270] : layers.halves ? [0, 180] : [];
  return lines.map((deg) => {
    const [x, y] = pointAt(deg, FACE_RADIUS - 2).map(coordinate);
    return { type: 'path', id: `part-${deg}`, d: `M0 0 L${x} ${y}`, fill: 'none', stroke: 'soft', strokeWidth: 1.6 };
  });
}

function ticks(layers: DialLayers): SceneNode[] {
  if (!layers.ticks) return [];
  return Array.from({ length: 60 }, (_, minute) => {
    const onHour = minute % 5 === 0;
    const [x1, y1] = pointAt(minute * 6, FACE_RADIUS - 3).map(coordinate);
    const [x2, y2] = pointAt(minute * 6, onHour ? 89 : 93).map(coordinate);
    return {
      type: 'path',
      id: `tick-${minute}`,
      d: `M${x1} ${y1} L${x2} ${y2}`,
      fill: 'none',
      stroke: 'ink',
      strokeWidth: onHour ? 2.6 : 1.1,
    };
  });
}

function numerals(layers: DialLayers): SceneNode[] {
  const shown = { all: 1, quarters: 3, none: 0 }[layers.numerals];
  if (shown === 0) return [];
  return Array.from({ length: 12 }, (_, index) => index + 1)
    .filter((numeral) => numeral % shown === 0 && !layers.numeralGaps.includes(numeral))
    .map((numeral) => {
      const [x, y] = pointAt(numeral * 30, NUMERAL_RADIUS);
      return { type: 'text', id: `numeral-${numeral}`, x, y, text: String(numeral), size: 18.5, bold: true, anchor: 'middle', fill: 'ink' };
    });
}

function ring24(layers: DialLayers): SceneNode[] {
  if (!layers.ring24) return [];
  return Array.from({ length: 12 }, (_, index) => {
    const [x, y] = pointAt((index + 1) * 30, RING24_RADIUS);
    return { type: 'text', id: `ring24-${index + 13}`, x, y, text: String(index + 13), size: 9, anchor: 'middle', fill: 'soft' };
  });
}

function minuteRing(layers: DialLayers): SceneNode[] {
  const step = { full: 5, quarters: 15, none: 0 }[layers.minuteRing];
  if (step === 0) return [];
  const nodes: SceneNode[] = [];
  for (let minute = 0; minute < 60; minute += step) {
    const text = minute === 0 ? { '00': '00', '60': '60', oclock: 'o’clock', none: '' }[layers.ringTop] : String(minute).padStart(2, '0');
    if (text) nodes.push(ringNumber(`ring-${minute}`, minute, text));
  }
  return nodes;
}

/** A minute number outside the rim, where the minute ring and a count round the dial both stand. */
export function ringNumber(id: string, minute: number, text: string, fill: 'minute' | 'accent' = 'minute'): SceneNode {
  const [x, y] = pointAt(minute * 6, RING_RADIUS);
  return { type: 'text', id, x, y, text, size: 10.5, bold: true, anchor: 'middle', fill };
}
