import type { RungTimes } from '../ladder/rung-times.js';
import type { Lesson } from '../lesson/lesson.js';
import { seededRng } from '../random/rng.js';
import { SECONDS_PER_HALF_DAY } from '../time/second-of-day.js';
import { kindOf, QUESTION_KINDS, type Item, type QuestionKindId } from './registry.js';

const MOST_DRAWS = 40;

/** A new question of a kind on a rung, about times that the lesson does not ask yet where there are such. */
export function makeItem(kind: QuestionKindId, rung: RungTimes, { items, settings, beats }: Lesson): Item {
  const rng = seededRng(items.length * 31 + beats.length);
  const onDial = (item: Item) =>
    kindOf(item)
      .timesOf(item)
      .map((at) => at % SECONDS_PER_HALF_DAY);
  const asked = new Set(items.flatMap(onDial));
  const draws = Array.from({ length: MOST_DRAWS }, () => QUESTION_KINDS[kind].make('new', rng, rung, settings) as Item);
  return draws.find((item) => onDial(item).every((at) => !asked.has(at))) ?? draws[0]!;
}
