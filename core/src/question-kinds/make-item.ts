import type { Rung } from '../ladder/rung.js';
import type { Lesson } from '../lesson/lesson.js';
import { seededRng } from '../rehearsal/rng.js';
import { QUESTION_KINDS, type Item, type QuestionKindId } from './registry.js';

const MOST_DRAWS = 40;

/** A new question of a kind on a rung, about a time that the lesson does not ask yet where there is one. */
export function makeItem(kind: QuestionKindId, rung: Rung, { items, settings, beats }: Lesson): Item {
  const rng = seededRng(items.length * 31 + beats.length);
  const asked = new Set(items.map(({ timeSec }) => timeSec % 43_200));
  const draws = Array.from({ length: MOST_DRAWS }, () => QUESTION_KINDS[kind].make('new', rng, rung, settings) as Item);
  return draws.find(({ timeSec }) => !asked.has(timeSec % 43_200)) ?? draws[0]!;
}
