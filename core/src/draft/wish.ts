import type { RungId } from '../ladder/registry.js';
import type { LessonSettings } from '../lesson/settings.js';
import type { MisconceptionId } from '../misconceptions/registry.js';
import type { Item } from '../question-kinds/registry.js';
import type { ClassTimes } from '../run/answer-times.js';
import type { DayEvent } from '../series/day-events.js';

/** What a teacher asks for. */
export interface DraftWish {
  readonly rung: RungId;
  /** How long the lesson is to be, in whole minutes, 5 to 40. */
  readonly minutes: number;
  readonly delivery: 'live' | 'recorded';
  readonly settings: LessonSettings;
  /** Another seed gives other examples. */
  readonly seed: number;
  /** What those who are taught are known to hold, the commonest first, and questions that were chosen for them: all are asked. */
  readonly insight?: { readonly misconceptions: readonly MisconceptionId[]; readonly items?: readonly Item[] };
  /** Times of the class’s own day: contexts beside those of the stock. */
  readonly daily?: readonly DayEvent[];
  /** How long the class takes for each kind of question on each rung, where that was seen. */
  readonly answerTimes?: ClassTimes;
  /** What is taught before and after it, where that is planned; else the rungs next to its own. Null for nothing. */
  readonly between?: { readonly before: RungId | null; readonly after: RungId | null };
}
