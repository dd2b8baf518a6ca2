import type { NewBeat } from '../../beats/registry.js';
import type { RungTimes } from '../../ladder/rung-times.js';
import type { SecondOfDay } from '../../time/second-of-day.js';
import type { Tongue } from '../../words/pack.js';
import type { LessonSettings } from '../../lesson/settings.js';

/** What a demonstration is made for. */
export interface DemonstrationFor {
  readonly rung: RungTimes;
  readonly settings: LessonSettings;
  readonly tongue: Tongue;
}

/** How something is shown on a rung, and what an example of it is: each a few beats, in the words of the lesson’s language. */
export interface Demonstration {
  /** @param hour that it begins at, 1 to 11 */
  readonly show: (hour: number, made: DemonstrationFor) => readonly NewBeat[];
  readonly example: (at: SecondOfDay, made: DemonstrationFor) => readonly NewBeat[];
}
