import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import { canBeGiven, kindOf, type Item } from '@zeitpunkt/core/question-kinds/registry';
import { isRightVerdict } from '@zeitpunkt/core/question-kinds/verdict';

/** Sentences for what can be wrong with a question that was changed. */
export interface NoQuestion {
  readonly nothingRight: string;
  readonly noChoice: string;
  readonly nothingAsked: string;
  readonly noQuestion: string;
}

/** Why a changed question would be none: its key could not be found, or nothing of it would be right. */
export function whyNoQuestion(item: Item, { settings }: Lesson, words: NoQuestion): string | null {
  const kind = kindOf(item);
  try {
    const view = kind.viewOf(item, settings);
    const key = kind.keyOf(item, settings);
    if (!canBeGiven(item, key, settings) || !isRightVerdict(kind.judge(item, key, settings).verdict)) return words.nothingRight;
    if ('chosen' in key && key.chosen.length === 0) return words.noChoice;
    return view.stem ? null : words.nothingAsked;
  } catch {
    return words.noQuestion;
  }
}
