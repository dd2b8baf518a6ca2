import type { Band, BandKind } from './band.js';
import { dayLine } from './day-line.js';
import { fractionCircle, fractionStrip } from './fraction.js';
import { hourLine } from './hour-line.js';

/** Every kind of band. Ids stand in saved dials and lessons: add, never rename or reuse. */
const BAND_KINDS = {
  'hour-line': hourLine,
  'day-line': dayLine,
  'fraction-strip': fractionStrip,
  'fraction-circle': fractionCircle,
} as const;

/** The kind of a band as a record over the union: a band finds its own kind by its `type`, which the compiler cannot follow. */
export function bandKindOf(band: Band): BandKind<Band> {
  return BAND_KINDS[band.type] as unknown as BandKind<Band>;
}
