import type { ActId, Acts } from '../acts/acts.js';
import type { LessonSettings } from '../lesson/settings.js';

/**
 * A named wrong idea. It *distorts acts*, each in its own file, on top of acts that may be distorted already; every
 * question kind that calls such an act then predicts what a pupil with this idea would answer. A result may coincide with
 * the right one (3:15 read by the nearest hour); whoever compares drops those.
 */
export interface Misconception {
  /** As a teacher says it of a pupil, so that it heads a row and follows a name: "Swaps the hands". */
  readonly name: string;
  /** The same at a question whose long hand is on a numeral, 1 to 11; only where the name speaks of one. */
  readonly nameAt?: (numeral: number) => string;
  /** For the teacher: what the pupil does. */
  readonly whatThePupilDoes: string;
  /** For the pupil after the reveal, in the language of the lesson and by its rules: kind, and says what to look at. */
  readonly sayToPupil: (settings: LessonSettings) => string;
  /** The same where another sentence fits what the pupil was doing. */
  readonly sayWhile?: Partial<Record<ActId, (settings: LessonSettings) => string>>;
  /** For a pupil who explains somebody’s wrong reading of a dial: how it came about; only ideas about reading have it. */
  readonly howItCame?: (settings: LessonSettings) => string;
  /**
   * Minutes past the hour at which many who hold it are right all the same: o'clock and half past are known by heart before
   * anything is counted.
   */
  readonly byHeart?: readonly number[];
  /** For the teacher: what to do next. */
  readonly nextMove: string;
  /** The acts as somebody with this idea does them; acts that are not named stay as they are. */
  distorts(acts: Acts, settings: LessonSettings): Partial<Acts>;
}
