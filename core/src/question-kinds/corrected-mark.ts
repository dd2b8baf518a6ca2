import type { LessonSettings } from '../lesson/settings.js';
import { isNotSure } from './not-sure.js';
import type { Mark, Verdict } from './question-kind.js';
import { kindOf, type Item, type Response } from './registry.js';
import { isRightVerdict } from './verdict.js';

/**
 * The mark that a teacher puts in the place of another: with another verdict, and with what the pupil reads then. Whoever is
 * right is blamed for no idea; whoever was taken for right and is not is not told that all is well.
 */
export function correctedMark(item: Item, response: Response, mark: Mark, verdict: Verdict, settings: LessonSettings): Mark {
  const right = isRightVerdict(verdict);
  if (!right && !isRightVerdict(mark.verdict)) return { ...mark, verdict };
  const parts = mark.parts.map(({ part }) => ({ part, right }));
  const sayToPupil = isNotSure(response) ? mark.sayToPupil : kindOf(item).hint(item, { verdict, parts }, settings, response);
  return { verdict, parts, misconceptions: [], sayToPupil };
}
