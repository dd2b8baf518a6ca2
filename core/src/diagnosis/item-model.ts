import type { Acts } from '../acts/acts.js';
import type { LessonSettings } from '../lesson/settings.js';
import { actsOf, readingActsOf, readsAndSets } from '../misconceptions/distorted-acts.js';
import { misconceptionOf, type MisconceptionId } from '../misconceptions/registry.js';
import { isNotSure } from '../question-kinds/not-sure.js';
import { predictionsOf } from '../question-kinds/predictions.js';
import { kindOf, type Item, type KindResponse, type Response } from '../question-kinds/registry.js';
import type { Verdict } from '../question-kinds/question-kind.js';
import { isRightVerdict } from '../question-kinds/verdict.js';
import { minuteOfHour } from '../time/second-of-day.js';
import { BY_HEART } from './model.js';
import { waysToBeWrong } from './scatter.js';

/** What a response shows, as far as the diagnosis looks at it. */
export interface Shown {
  readonly is: 'right' | 'wrong' | 'not-sure';
  /** For each idea that has a chance on this item, in their order: how likely an answer by that idea is this one, 0 to 1. */
  readonly byIdea: readonly number[];
  /** The same for somebody who holds the idea in reading alone; the same list where that makes no difference. */
  readonly byReading: readonly number[];
  /** For each idea, whether it makes a difference here to somebody who holds it in reading alone. */
  readonly readsAlike: readonly boolean[];
  /** The same as byIdea for pairs of those ideas, both at once: first with second, first with third, …, second with third, …. */
  readonly byPair: readonly number[];
}

/** What an item can tell: which ideas have a chance on it, and what each response shows. */
export interface ItemModel {
  /** Ideas that predict a wrong answer here. */
  readonly ideas: readonly MisconceptionId[];
  /** How much is to be expected of each here, 0 to 1: less where many know the time by heart. */
  readonly reach: readonly number[];
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
  const wrongBy = (acts: Acts) => kind.predict(item, acts, settings).filter((given) => !isRight(given));
  const share = (predicted: readonly KindResponse[], given: KindResponse) =>
    predicted.length === 0 ? 0 : predicted.filter((one) => kind.isSame(item, one, given, settings)).length / predicted.length;
  // Only where hands are set, and only for ideas about both, it matters whether an idea is held in reading alone.
  const sets = kind.doing(item).includes('set');
  const byReading = ideas.map((id) => (sets && readsAndSets(id, settings) ? wrongBy(readingActsOf([id], settings)) : predictions.get(id)!));
  const isAlike = byReading.every((predicted, place) => predicted === predictions.get(ideas[place]!));
  const readsAlike = byReading.map((predicted) => predicted.length > 0);
  let pairs: readonly (readonly KindResponse[])[] | null = null;
  /** What both of two ideas at once predict; only looked at where an answer is wrong. */
  const ofPairs = () =>
    (pairs ??= ideas.flatMap((one, place) => ideas.slice(place + 1).map((other) => wrongBy(actsOf([one, other], settings)))));
  const shown = new Map<string, Shown>();
  // One object for all answers that show no idea, so that what they add is looked at once.
  const nothing = ideas.map(() => 0);
  const none = { byIdea: nothing, byReading: nothing, readsAlike, byPair: [] };
  const right: Shown = { is: 'right', ...none };
  const notSure: Shown = { is: 'not-sure', ...none };

  return {
    ideas,
    reach: ideas.map((id) => reachOf(id, item)),
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
        else {
          const byIdea = ideas.map((id) => share(predictions.get(id)!, response));
          one = {
            is: 'wrong',
            byIdea,
            byReading: isAlike ? byIdea : byReading.map((predicted) => share(predicted, response)),
            readsAlike,
            byPair: ofPairs().map((predicted) => share(predicted, response)),
          };
        }
        if (shown.size >= MOST_SHOWN) shown.clear();
        shown.set(key, one);
      }
      return one;
    },
  };
}

/** Where two ideas of an item, by their places, stand among its pairs: one row after the other, each shorter by one. */
export function pairPlace(one: number, other: number, count: number): number {
  const [first, second] = [Math.min(one, other), Math.max(one, other)];
  return first * count - (first * (first + 1)) / 2 + second - first - 1;
}

/** The pairs of ideas, by their places, that lead to an answer when both are held at once. */
export function pairsShown({ byIdea, byPair }: Shown): readonly (readonly [number, number])[] {
  if (byPair.every((hit) => hit === 0)) return [];
  const places = byIdea.map((_, place) => place);
  return places.flatMap((one) =>
    places.slice(one + 1).flatMap((other) => (byPair[pairPlace(one, other, places.length)]! > 0 ? [[one, other] as const] : [])),
  );
}

/** Full hours and halves that many know by heart show less of an idea that gets at the minutes. */
function reachOf(id: MisconceptionId, item: Item): number {
  const { byHeart = [] } = misconceptionOf(id);
  const minutes = kindOf(item).timesOf(item).map(minuteOfHour);
  return minutes.length > 0 && minutes.every((minute) => byHeart.includes(minute)) ? BY_HEART : 1;
}
