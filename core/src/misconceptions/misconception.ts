import type { Pose } from '../dial/pose.js';
import type { SecondOfDay } from '../time/second-of-day.js';

/** A time as typed into the two boxes of a display; `minute` keeps the digits as typed ("5" is not "05"). */
export interface TypedDisplay {
  readonly hour: string;
  readonly minute: string;
}

/**
 * A named wrong idea that predicts wrong responses. Each ability is optional: an idea about reading a dial predicts
 * nothing about setting one. A prediction may coincide with the key (3:15 read by the nearest hour is right); whoever
 * compares drops those.
 */
export interface Misconception {
  /** For the teacher, in the list of ideas: "Hands exchanged". */
  readonly name: string;
  /** For the teacher: what the pupil does. */
  readonly whatThePupilDoes: string;
  /** For the pupil after the reveal: kind, and says what to look at. */
  readonly sayToPupil: string;
  /** For the teacher: what to do next. */
  readonly nextMove: string;
  /** What a pupil with this idea types when a geared dial shows this time; several where the idea leaves a choice. */
  readonly predictReading?: (shown: SecondOfDay) => readonly TypedDisplay[];
  /** Where a pupil with this idea puts free hands for this time; several where the idea leaves a choice. */
  readonly predictSetting?: (asked: SecondOfDay) => readonly Pose[];
}
