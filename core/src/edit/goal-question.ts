import { isAboutGoal } from '../ladder/goal.js';
import { RUNGS, type RungId } from '../ladder/registry.js';
import type { Rung } from '../ladder/rung.js';
import { kindOf, QUESTION_KINDS, type Item } from '../question-kinds/registry.js';
import { seededRng } from '../random/rng.js';
import { dialHour } from '../lesson/lesson-parts.js';
import type { Lesson } from '../lesson/lesson.js';

const MOST_DRAWS = 200;

/** A further question about the goal of a rung, of another hour than the last one of a lesson; null where none came. */
export function goalQuestion({ items, settings }: Lesson, rungId: RungId, seed: number): Item | null {
  const rng = seededRng(seed);
  const rung: Rung = RUNGS[rungId];
  const kinds = rung.goalKinds ?? rung.kinds;
  const hourOf = (one: Item | undefined) => one && kindOf(one).timesOf(one).map(dialHour)[0];
  const before = hourOf(items.at(-1));
  for (let draw = 0; draw < MOST_DRAWS; draw++) {
    const item = QUESTION_KINDS[kinds[draw % kinds.length]!].make('new', rng, rung, settings) as Item;
    const hour = hourOf(item);
    if (isAboutGoal(rungId, item) && (hour === undefined || hour !== before)) return item;
  }
  return null;
}
