import { rungOf } from '../ladder/registry.js';
import type { LessonSettings } from '../lesson/settings.js';
import { kindOf, type Item } from '../question-kinds/registry.js';
import type { Rng } from '../rehearsal/rng.js';
import { SECONDS_PER_HALF_DAY } from '../time/second-of-day.js';

/** Draws until one is new; on a small rung all times may have been asked. */
const MOST_DRAWS = 40;

/**
 * Another question of the same kind on the same rung, about times that were not asked yet where there are such.
 * @param asked every question of the lesson and of the room so far
 */
export function anotherLike(item: Item, asked: readonly Item[], id: string, settings: LessonSettings, rng: Rng): Item {
  const kind = kindOf(item);
  const rung = rungOf(kind.timesOf(item));
  const onDial = (one: Item) =>
    kindOf(one)
      .timesOf(one)
      .map((at) => at % SECONDS_PER_HALF_DAY);
  const taken = new Set(asked.flatMap(onDial));
  const draws = Array.from({ length: MOST_DRAWS }, () => kind.make(id, rng, rung, settings));
  return draws.find((made) => onDial(made).every((at) => !taken.has(at))) ?? draws[0]!;
}
