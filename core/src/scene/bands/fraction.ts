import { sectorPath, type SceneNode } from '../scene-node.js';
import { minuteOfHour, type SecondOfDay } from '../../time/second-of-day.js';
import type { Tongue } from '../../words/pack.js';
import type { BandKind, BandPlace, Fraction } from './band.js';
import { stroke } from './strokes.js';

/** As much as the minute hand has filled of its hour. */
const at = (band: Fraction, at: SecondOfDay): Fraction => ({ ...band, filled: (minuteOfHour(at) / 60) * band.parts });
const describe =
  (shape: Readonly<Record<Tongue, string>>) =>
  ({ parts, filled }: Fraction, tongue: Tongue = 'en') => {
    const count = Math.round(filled * 100) / 100;
    return tongue === 'de'
      ? `${shape.de} aus ${parts} Teilen, ${count} davon gefüllt.`
      : `A ${shape.en} in ${parts} parts, ${count} of them filled.`;
  };

export const fractionStrip: BandKind<Fraction> = { nodes: stripNodes, at, describe: describe({ en: 'strip', de: 'Ein Streifen' }) };
export const fractionCircle: BandKind<Fraction> = { nodes: circleNodes, at, describe: describe({ en: 'circle', de: 'Ein Kreis' }) };

/** A strip cut into equal parts, filled from the left. */
function stripNodes({ parts, filled }: Fraction, place: BandPlace, id: string): SceneNode[] {
  const [top, height] = [place.y + place.height * 0.3, place.height * 0.4];
  const box = (width: number) =>
    `M${place.x} ${top} L${place.x + width} ${top} L${place.x + width} ${top + height} L${place.x} ${top + height} Z`;
  const nodes: SceneNode[] = [{ type: 'path', id: `${id}-whole`, d: box(place.width), fill: 'face', stroke: 'ink', strokeWidth: 4 }];
  if (filled > 0)
    nodes.push({
      type: 'path',
      id: `${id}-filled`,
      d: box((place.width * Math.min(filled, parts)) / parts),
      fill: 'minute',
      opacity: 0.35,
    });
  for (let part = 1; part < parts; part++) {
    const x = (place.x + (place.width * part) / parts).toFixed(1);
    nodes.push(stroke(`${id}-cut-${part}`, `M${x} ${top} L${x} ${top + height}`, 'ink', 3));
  }
  return nodes;
}

/** A circle cut into equal parts, filled clockwise from the top, as the minute hand fills an hour. */
function circleNodes({ parts, filled }: Fraction, place: BandPlace, id: string): SceneNode[] {
  const r = place.height * 0.44;
  const nodes: SceneNode[] = [{ type: 'circle', id: `${id}-whole`, cx: 0, cy: 0, r, fill: 'face', stroke: 'ink', strokeWidth: 4 }];
  if (filled > 0)
    nodes.push({
      type: 'path',
      id: `${id}-filled`,
      d: sectorPath(0, (360 * Math.min(filled, parts)) / parts, r),
      fill: 'minute',
      opacity: 0.35,
    });
  for (let part = 0; part < parts; part++) {
    const rad = (part / parts) * 2 * Math.PI;
    nodes.push(stroke(`${id}-cut-${part}`, `M0 0 L${(r * Math.sin(rad)).toFixed(1)} ${(-r * Math.cos(rad)).toFixed(1)}`, 'ink', 3));
  }
  return [{ type: 'group', id, x: place.x + place.width / 2, y: place.y + place.height / 2, scale: 1, turnDeg: 0, nodes }];
}
