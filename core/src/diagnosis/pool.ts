import type { Rung } from '../ladder/rung.js';
import type { LessonSettings } from '../lesson/settings.js';
import { QUESTION_KINDS, type Item, type QuestionKindId } from '../question-kinds/registry.js';
import { seededRng } from '../random/rng.js';

/**
 * Questions to choose from: of each kind that fits the rung as many as of the others, all different. The same seed makes the
 * same pool; a kind that has no more different ones to give ends early.
 * @param kinds those of the rung when absent
 */
export function* poolOf(
  size: number,
  rung: Rung,
  settings: LessonSettings,
  seed: number,
  kinds: readonly QuestionKindId[] = rung.kinds,
): Generator<Item> {
  const rng = seededRng(seed);
  const known = new Set<string>();
  let made = 0;
  // Rungs with few times have few different questions: then draws repeat.
  for (let draw = 0; draw < size * 4 && made < size; draw++) {
    const kind = kinds[draw % kinds.length]!;
    const item = QUESTION_KINDS[kind].make(`p${made + 1}`, rng, rung, settings) as Item;
    const { id: _id, ...rest } = item;
    const text = JSON.stringify(rest);
    if (known.has(text)) continue;
    known.add(text);
    made++;
    yield item;
  }
}
