import type { DialLayers } from '@zeitpunkt/core/scene/dial-state';
import type { BandChoice } from '@zeitpunkt/core/stage/dial-build';
import type { LayerName } from '../../ui/parts/layer-picture';

/** A switch of the face or the hands, with its picture. */
export interface LayerSwitch {
  readonly layer: 'ticks' | 'hourZones' | 'halves' | 'quarters' | 'shaded' | 'ring24' | 'hourHand' | 'minuteHand' | 'secondHand' | 'peek';
  readonly picture: LayerName;
}

export const FACE: readonly LayerSwitch[] = [
  { layer: 'ticks', picture: 'ticks' },
  { layer: 'hourZones', picture: 'zones' },
  { layer: 'ring24', picture: 'ring24' },
  { layer: 'halves', picture: 'halves' },
  { layer: 'quarters', picture: 'quarters' },
  { layer: 'shaded', picture: 'shaded' },
];
export const HANDS: readonly LayerSwitch[] = [
  { layer: 'hourHand', picture: 'hour' },
  { layer: 'minuteHand', picture: 'minute' },
  { layer: 'secondHand', picture: 'second' },
  { layer: 'peek', picture: 'peek' },
];
export const RINGS: readonly { readonly ring: Exclude<DialLayers['minuteRing'], 'none'>; readonly picture: LayerName }[] = [
  { ring: 'full', picture: 'ring' },
  { ring: 'quarters', picture: 'ring-quarters' },
];
export const BANDS: readonly { readonly band: BandChoice; readonly picture: LayerName }[] = [
  { band: 'hour-line-quarters', picture: 'hour-line' },
  { band: 'hour-line-fives', picture: 'hour-line' },
  { band: 'hour-line-ones', picture: 'hour-line' },
  { band: 'day-line', picture: 'day-line' },
  { band: 'strip-quarters', picture: 'strip' },
  { band: 'circle-quarters', picture: 'circle' },
];

/** Widths of a picture in pixels. */
export const WIDTHS = [800, 1600, 3840] as const;

/** How long free hands take to snap into gear, in milliseconds. */
export const SNAP_MS = 350;
