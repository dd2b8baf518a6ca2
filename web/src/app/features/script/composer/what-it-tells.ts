import type { LessonSettings } from '@zeitpunkt/core/lesson/settings';
import type { MisconceptionId } from '@zeitpunkt/core/misconceptions/registry';
import { markOf } from '@zeitpunkt/core/question-kinds/marking';
import type { Mark } from '@zeitpunkt/core/question-kinds/question-kind';
import { kindOf, textOfResponse, type Item, type KindResponse, type Response } from '@zeitpunkt/core/question-kinds/registry';
import { isRightVerdict } from '@zeitpunkt/core/question-kinds/verdict';
import { WORD_PACKS } from '@zeitpunkt/core/words/registry';
import { say } from '@zeitpunkt/core/words/say';
import { pairOfAnswer, type IdeaPair } from '@zeitpunkt/core/misconceptions/idea-pair';
import { ideaName, ideaWords } from '@zeitpunkt/core/misconceptions/idea-words';
import { predictionsOf } from '@zeitpunkt/core/question-kinds/predictions';

/** What an idea makes of a question. */
export interface Tells {
  readonly id: MisconceptionId;
  readonly name: string;
  /** The answer as such a pupil gives it, and as it reads. */
  readonly response: KindResponse;
  readonly text: string;
  /** What the pupil is told. */
  readonly sayToPupil: string;
  /** Ideas that give the very same answer. */
  readonly same: readonly string[];
  /** The same as two dials, where it is read from one or set on one. */
  readonly pair: IdeaPair | null;
}

/** What a question tells: for each idea that makes a difference the first answer that it leads to. */
export function tellsOf(item: Item, settings: LessonSettings): Tells[] {
  return [...predictionsOf(item, settings)].map(([id, [response]]) => {
    const mark = markOf(item, response!, settings);
    return {
      id,
      name: ideaName(id, item),
      pair: pairOfAnswer(item, response!),
      response: response!,
      text: textOfResponse(item, response!, settings),
      sayToPupil: mark.sayToPupil,
      same: mark.misconceptions.filter((other) => other !== id).map((other) => ideaName(other, item)),
    };
  });
}

/** The key as it reads, and other ways of writing it that count. */
export function keyOf(
  item: Item,
  settings: LessonSettings,
): { readonly text: string; readonly also: readonly string[]; readonly reason: readonly string[] } {
  const kind = kindOf(item);
  const key = kind.keyOf(item, settings);
  const [first, ...others] = item.kind === 'write-words' ? say(kind.timesOf(item)[0]!, WORD_PACKS[settings.pack]) : [];
  const also = item.kind === 'write-words' ? [...others, ...(item.accepted ?? [])] : alsoDigits(item, settings);
  return { text: first ?? textOfResponse(item, key, settings), also, reason: kind.reason(item, settings) };
}

/** Where a dial is read both hours that a numeral stands for count. */
function alsoDigits(item: Item, { separator }: LessonSettings): string[] {
  if (item.kind !== 'read-dial' && item.kind !== 'write-display' && item.kind !== 'hands-in-words') return [];
  const minutes = String(Math.floor(item.timeSec / 60) % 60).padStart(2, '0');
  const hour = Math.floor(item.timeSec / 3600) % 12;
  return [`${String(hour || 12).padStart(2, '0')}${separator}${minutes}`, `${hour + 12}${separator}${minutes}`];
}

/** An answer that was given here, marked. */
export function triedOut(
  item: Item,
  response: Response,
  settings: LessonSettings,
): { readonly text: string; readonly mark: Mark; readonly right: boolean; readonly explained: string } {
  const mark = markOf(item, response, settings);
  return {
    text: textOfResponse(item, response, settings),
    mark,
    right: isRightVerdict(mark.verdict),
    explained: ideaWords(mark.misconceptions, item, response),
  };
}
