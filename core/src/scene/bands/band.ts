import type { DisplaySeparator } from '../../time/display.js';
import type { Tongue } from '../../words/pack.js';
import type { SecondOfDay } from '../../time/second-of-day.js';
import type { SceneNode } from '../scene-node.js';

/** Minutes of one hour along a line, from one o'clock to the next, with jumps counted on it. */
export interface HourLine {
  readonly type: 'hour-line';
  /** The hour at the left end, 1 to 12. */
  readonly hour: number;
  readonly by: 1 | 5 | 15;
  /** Minutes past the hour that are pointed at, 0 to 60, or nothing. */
  readonly at: number | null;
  /** Jumps in minutes past the hour, each drawn as a bow with its length. */
  readonly jumps: readonly { readonly from: number; readonly to: number }[];
}

/** The day from midnight over noon to midnight, with the hour hand's two rounds and the pupils' events. */
export interface DayLine {
  readonly type: 'day-line';
  readonly atSec: number | null;
  readonly events: readonly { readonly atSec: number; readonly text: string }[];
  /** As the display beside it writes times; a colon when absent. */
  readonly separator?: DisplaySeparator;
  /** The language of its names; English when absent. */
  readonly tongue?: Tongue;
}

/** A whole cut into equal parts, some of them filled: as a strip, or as a circle cut from its top. */
export interface Fraction {
  readonly type: 'fraction-strip' | 'fraction-circle';
  readonly parts: 2 | 4 | 12;
  /** Parts filled, 0 to all, with fractions. */
  readonly filled: number;
}

export type Band = HourLine | DayLine | Fraction;

/** Where a band is drawn, in scene units. */
export interface BandPlace {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** What a kind of band can do. */
export interface BandKind<Kind extends Band> {
  /** What is drawn at a place; ids begin with `id`. */
  nodes(band: Kind, place: BandPlace, id: string): SceneNode[];
  /** The band as it stands at another time. */
  at(band: Kind, at: SecondOfDay): Kind;
  /** In words, for those who hear it. */
  describe(band: Kind, tongue?: Tongue): string;
}
