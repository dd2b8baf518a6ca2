import type { LessonSettings } from '../lesson/settings.js';
import type { MisconceptionId } from '../misconceptions/registry.js';
import { sayToPupilWhile } from '../misconceptions/say-while.js';
import { saidSo } from './kind-talk.js';
import { isNotSure } from './not-sure.js';
import { predictionsOf } from './predictions.js';
import type { Judgement, Mark } from './question-kind.js';
import { kindOf, type Item, type KindResponse, type Response } from './registry.js';
import { isRightVerdict } from './verdict.js';

/**
 * Marks a response: how right it is, every misconception that would have led to it, and one kind sentence. Where several
 * ideas explain a response, the sentence is the one that holds whichever of them it was.
 * @param response of the item's own kind
 */
export function markOf(item: Item, response: Response, settings: LessonSettings): Mark {
  const kind = kindOf(item);
  if (isNotSure(response)) {
    return { verdict: 'blank', parts: [], misconceptions: [], sayToPupil: `${saidSo(settings)} ${kind.lookAt(item, settings)}` };
  }
  const judgement = kind.judge(item, response, settings);
  const misconceptions = ideasBehind(item, response, judgement, settings);
  const [named, ...others] = misconceptions;
  const sayToPupil =
    named && others.length === 0 ? sayToPupilWhile(named, kind.doing(item), settings) : kind.hint(item, judgement, settings, response);
  return { ...judgement, misconceptions, sayToPupil };
}

/** The misconceptions that explain a response. None is blamed for a part that is right. */
function ideasBehind(item: Item, response: KindResponse, { verdict, parts }: Judgement, settings: LessonSettings): MisconceptionId[] {
  if (isRightVerdict(verdict) || verdict === 'blank') return [];
  const kind = kindOf(item);
  const explains = (predicted: KindResponse) =>
    kind.isSame(item, predicted, response, settings) &&
    kind.judge(item, predicted, settings).parts.every((one, place) => one.right || !parts[place]?.right);
  return [...predictionsOf(item, settings)].flatMap(([id, predicted]) => (predicted.some(explains) ? [id] : []));
}
