import type { RungTimes } from '../ladder/rung-times.js';
import type { LessonSettings } from '../lesson/settings.js';
import { seededRng } from '../random/rng.js';
import { SECONDS_PER_HALF_DAY, type SecondOfDay } from '../time/second-of-day.js';
import { kindOf, QUESTION_KINDS, type Item, type QuestionKindId } from './registry.js';

const MOST_DRAWS = 30;

/**
 * A question of a kind about a time that was chosen: another draw for each seed. Null where the kind is about no time of day,
 * or where no idea makes a difference at this one.
 */
export function makeAbout(kind: QuestionKindId, at: SecondOfDay, rung: RungTimes, settings: LessonSettings, seed: number): Item | null {
  const rng = seededRng(seed);
  for (let draw = 0; draw < MOST_DRAWS; draw++) {
    const made = QUESTION_KINDS[kind].make(
      'new',
      rng,
      { ...rung, only: at, minutes: [...new Set([...rung.minutes, Math.floor(at / 60) % 60])] },
      settings,
    ) as Item;
    const times = kindOf(made).timesOf(made);
    if (times.some((time) => time % SECONDS_PER_HALF_DAY === at % SECONDS_PER_HALF_DAY)) return made;
  }
  return null;
}
