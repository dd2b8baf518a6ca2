import type { LessonSettings } from '../lesson/settings.js';
import { kindOf, type Item, type ItemView } from '../question-kinds/registry.js';
import type { ShapeId } from '../question-kinds/shapes/shape.js';

/**
 * In how many ways an answer without an idea is wrong, by how it is given. Where digits are typed or hands are turned, wrong
 * answers lie near the right one: about forty are usual, though thousands could be given.
 */
const WAYS: Readonly<Record<ShapeId, (view: never) => number>> = {
  time: () => 40,
  times: () => 50,
  words: () => 40,
  pose: () => 40,
  numbers: ({ labels }: Extract<ItemView, { shape: 'numbers' }>) => 20 * labels.length,
  line: () => 15,
  choices: ({ choices, several }: Extract<ItemView, { shape: 'choices' }>) => (several ? 2 * choices.length : choices.length - 1),
  pairs: ({ cards }: Extract<ItemView, { shape: 'pairs' }>) => 2 * factorial(cards.length),
  order: ({ cards }: Extract<ItemView, { shape: 'order' }>) => factorial(cards.length) - 1,
};

const factorial = (n: number): number => (n <= 1 ? 1 : n * factorial(n - 1));

/** In how many ways an answer to an item is wrong without any idea behind it; at least 1. */
export function waysToBeWrong(item: Item, settings: LessonSettings): number {
  const view = kindOf(item).viewOf(item, settings);
  return Math.max(1, WAYS[view.shape](view as never));
}
