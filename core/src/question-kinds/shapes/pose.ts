import type { Pose } from '../../dial/pose.js';
import type { DialLayers } from '../../scene/dial-state.js';

/** Where the hands of a dial were put, in degrees clockwise from 12. */
export type PoseAnswer = Pose;

export interface PoseShapeView {
  readonly shape: 'pose';
  readonly hands: 'geared' | 'free';
  /** Where both hands start, in seconds since midnight. */
  readonly startSec: number;
  readonly layers: DialLayers;
}
