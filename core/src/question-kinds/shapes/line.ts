import type { Band } from '../../scene/bands/band.js';

/** A place on a line, in whole seconds since midnight. */
export interface LineAnswer {
  readonly atSec: number;
}

export interface LineShapeView {
  readonly shape: 'line';
  readonly line: Extract<Band, { type: 'hour-line' | 'day-line' }>;
  /** The moments at its ends, in seconds since midnight; the last one may be a whole day. */
  readonly fromSec: number;
  readonly toSec: number;
  /** What the marker moves by, in seconds. */
  readonly stepSec: number;
}
