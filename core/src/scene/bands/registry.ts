import type { SceneNode } from '../scene-node.js';
import type { Band, BandPlace } from './band.js';
import { dayLine } from './day-line.js';
import { fractionCircle, fractionStrip } from './fraction.js';
import { hourLine } from './hour-line.js';

/** How each band is drawn. Ids stand in saved dials and lessons: add, never rename or reuse. */
const BANDS = {
  'hour-line': hourLine,
  'day-line': dayLine,
  'fraction-strip': fractionStrip,
  'fraction-circle': fractionCircle,
} as const;

/** The nodes of a band at a place; ids begin with `id`. */
export function bandNodes(band: Band, place: BandPlace, id: string): SceneNode[] {
  return (BANDS[band.type] as (band: Band, place: BandPlace, id: string) => SceneNode[])(band, place, id);
}
