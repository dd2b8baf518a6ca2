import type { LessonSettings } from '../lesson/settings.js';
import { sayToPupilWhile } from '../misconceptions/misconception.js';
import { misconceptionOf } from '../misconceptions/registry.js';
import { predictionsOf } from './predictions.js';
import type { Mark } from './question-kind.js';
import { kindOf, type Item, type Response } from './registry.js';
import { isRightVerdict } from './verdict.js';

/**
 * Marks a response: how right it is, every misconception that would have led to it, and one kind sentence.
 * @param response of the item's own kind
 */
export function markOf(item: Item, response: Response, settings: LessonSettings): Mark {
  const kind = kindOf(item);
  const judgement = kind.judge(item, response, settings);
  const explained = isRightVerdict(judgement.verdict) || judgement.verdict === 'blank' ? [] : [...predictionsOf(item, settings)];
  const misconceptions = explained.filter(([, predicted]) => predicted.some((one) => kind.isSame(item, one, response))).map(([id]) => id);
  const [named] = misconceptions;
  const sayToPupil = named ? sayToPupilWhile(misconceptionOf(named), kind.doing(item)) : kind.hint(item, judgement, settings);
  return { ...judgement, misconceptions, sayToPupil };
}
