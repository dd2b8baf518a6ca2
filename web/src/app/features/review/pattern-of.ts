import type { MisconceptionId } from '@zeitpunkt/core/misconceptions/registry';
import { isNotSure } from '@zeitpunkt/core/question-kinds/not-sure';
import { isRightVerdict } from '@zeitpunkt/core/question-kinds/verdict';
import { ideaName } from '@zeitpunkt/core/misconceptions/idea-words';
import type { ReviewRow } from './review-table';

/** Words for what a pupil's answers have in common where no idea shows twice. */
export interface PatternWords {
  readonly none: string;
  readonly one: string;
  readonly unsure: (n: number) => string;
}

/** So many answers that one idea would explain are more than a slip. */
const PATTERN = 2;

/** What the answers of a pupil have in common, in a few words: an idea that would explain two or more of them, or that there is none. */
export function patternOf({ cells }: Pick<ReviewRow, 'cells'>, words: PatternWords): string {
  const given = cells.flatMap(({ last }) => (last ? [last] : []));
  const wrong = given.filter(({ mark, response }) => !isRightVerdict(mark.verdict) && !isNotSure(response));
  const counts = new Map<MisconceptionId, number>();
  for (const { mark } of wrong) for (const id of mark.misconceptions) counts.set(id, (counts.get(id) ?? 0) + 1);
  const [most] = [...counts].sort(([, one], [, other]) => other - one);
  if (most && most[1] >= PATTERN) {
    const name = ideaName(most[0]);
    return name.charAt(0).toLowerCase() + name.slice(1);
  }
  const unsure = given.filter(({ response }) => isNotSure(response)).length;
  if (wrong.length > 1) return words.none;
  if (wrong.length === 1) return words.one;
  return unsure > 0 ? words.unsure(unsure) : '';
}
