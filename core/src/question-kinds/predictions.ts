import type { LessonSettings } from '../lesson/settings.js';
import { actsOf, changesAnyOf } from '../misconceptions/distorted-acts.js';
import { MISCONCEPTION_IDS, type MisconceptionId } from '../misconceptions/registry.js';
import { isRightVerdict } from './verdict.js';
import { kindOf, type Item, type KindResponse } from './registry.js';

type Predictions = ReadonlyMap<MisconceptionId, readonly KindResponse[]>;

/** By item, with the settings they hold for: a class answers the same item many times over. */
const known = new WeakMap<Item, { readonly settings: LessonSettings; readonly predictions: Predictions }>();

/** What each misconception predicts for an item, where that is not right; ideas that make no difference are absent. */
export function predictionsOf(item: Item, settings: LessonSettings): Predictions {
  const before = known.get(item);
  if (before?.settings === settings) return before.predictions;
  const predictions = predictionsBy(MISCONCEPTION_IDS, item, settings);
  known.set(item, { settings, predictions });
  return predictions;
}

/** The same of some ideas only: for a look at thousands of items that will not be asked. */
export function predictionsBy(ideas: readonly MisconceptionId[], item: Item, settings: LessonSettings): Predictions {
  const kind = kindOf(item);
  const predictions = new Map<MisconceptionId, readonly KindResponse[]>();
  const doing = kind.doing(item);
  for (const id of ideas) {
    if (!changesAnyOf(id, doing, settings)) continue;
    const predicted = kind.predict(item, actsOf([id], settings), settings);
    const wrong = predicted.filter((response) => !isRightVerdict(kind.judge(item, response, settings).verdict));
    if (wrong.length > 0) predictions.set(id, wrong);
  }
  return predictions;
}
