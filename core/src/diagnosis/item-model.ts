import type { LessonSettings } from '../lesson/settings.js';
import { actsOf } from '../misconceptions/distorted-acts.js';
import type { MisconceptionId } from '../misconceptions/registry.js';
import { isNotSure } from '../question-kinds/not-sure.js';
import { predictionsOf } from '../question-kinds/predictions.js';
import { kindOf, type Item, type KindResponse, type Response } from '../question-kinds/registry.js';
import type { Verdict } from '../question-kinds/question-kind.js';
import { isRightVerdict } from '../question-kinds/verdict.js';
import { waysToBeWrong } from './scatter.js';

/** What a response shows, as far as the diagnosis looks at it. */
export interface Shown {
  readonly is: 'right' | 'wrong' | 'not-sure';
  /** For each idea that has a chance on this item, in their order: how likely an answer by that idea is this one, 0 to 1. */
  readonly byIdea: readonly number[];
  /** The same for pairs of those ideas, both at once: first with second, first with third, …, second with third, …. */
  readonly byPair: readonly number[];
}

/** What an item can tell: which ideas have a chance on it, and what each response shows. */
export interface ItemModel {
  /** Ideas that predict a wrong answer here. */
  readonly ideas: readonly MisconceptionId[];
  /** In how many ways an answer is wrong without an idea. */
  readonly ways: number;
  /** @param verdict as marked, where that was corrected: it goes before what the kind says */
  shown(response: Response, verdict?: Verdict): Shown;
}

const known = new WeakMap<Item, { readonly settings: LessonSettings; readonly model: ItemModel }>();
/** A class gives a dozen different answers to an item. */
const MOST_SHOWN = 500;

/** The model of an item; made once, since a class answers it many times. */
export function itemModel(item: Item, settings: LessonSettings): ItemModel {
  const before = known.get(item);
  if (before?.settings === settings) return before.model;
  const model = makeModel(item, settings);
  known.set(item, { settings, model });
  return model;
}

function makeModel(item: Item, settings: LessonSettings): ItemModel {
  const kind = kindOf(item);
  const predictions = predictionsOf(item, settings);
  const ideas = [...predictions.keys()];
  const isRight = (response: KindResponse) => isRightVerdict(kind.judge(item, response, settings).verdict);
  const share = (predicted: readonly KindResponse[], given: KindResponse) =>
    predicted.length === 0 ? 0 : predicted.filter((one) => kind.isSame(item, one, given, settings)).length / predicted.length;
  let pairs: readonly (readonly KindResponse[])[] | null = null;
  /** What both of two ideas at once predict; only looked at where an answer is wrong. */
  const ofPairs = () =>
    (pairs ??= ideas.flatMap((one, place) =>
      ideas
        .slice(place + 1)
        .map((other) => kind.predict(item, actsOf([one, other], settings), settings).filter((given) => !isRight(given))),
    ));
  const shown = new Map<string, Shown>();
  // One object for all answers that show no idea, so that what they add is looked at once.
  const none = { byIdea: ideas.map(() => 0), byPair: [] };
  const right: Shown = { is: 'right', ...none };
  const notSure: Shown = { is: 'not-sure', ...none };

  return {
    ideas,
    ways: waysToBeWrong(item, settings),
    shown(response, marked) {
      if (isNotSure(response) || marked === 'blank') return notSure;
      if (marked !== undefined && isRightVerdict(marked)) return right;
      const key = `${marked === undefined ? '' : 'wrong '}${JSON.stringify(response)}`;
      let one = shown.get(key);
      if (!one) {
        const verdict = marked ?? kind.judge(item, response, settings).verdict;
        if (verdict === 'blank') one = notSure;
        else if (isRightVerdict(verdict)) one = right;
        else
          one = {
            is: 'wrong',
            byIdea: ideas.map((id) => share(predictions.get(id)!, response)),
            byPair: ofPairs().map((predicted) => share(predicted, response)),
          };
        if (shown.size >= MOST_SHOWN) shown.clear();
        shown.set(key, one);
      }
      return one;
    },
  };
}
