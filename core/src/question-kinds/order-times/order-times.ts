import type { Acts } from '../../acts/acts.js';
import { timeTyped } from '../../acts/typed-time.js';
import { timeOnRung, type RungTimes } from '../../ladder/rung-times.js';
import type { LessonSettings } from '../../lesson/settings.js';
import { tongueOf } from '../../talk/registry.js';
import { actsOf } from '../../misconceptions/distorted-acts.js';
import type { Rng } from '../../random/rng.js';
import { dialLetter } from '../../scene/describe-stage.js';
import { PLAIN_LAYERS } from '../../scene/dial-state.js';
import { sideBySide } from '../../scene/stage-state.js';
import { halfOfDay } from '../../time/occurrence.js';
import { minuteOfHour, secondOfDay, toSecondOfDay } from '../../time/second-of-day.js';
import { plainHint } from '../kind-talk.js';
import { NO_PICTURE, pictureOnStage } from '../picture.js';
import type { ItemBase, Judgement, QuestionKind, ViewBase } from '../question-kind.js';
import { isNoonOrMidnight } from '../../words/parts-of-day.js';
import { asChoice, inHalfOf, seenAs, type Given } from '../seen-as.js';
import { dialOfChoice } from '../shapes/choices.js';
import { isOrder, orderText, sameOrder, type OrderAnswer, type OrderShapeView } from '../shapes/order.js';
import { oneOf, shuffled } from '../slips.js';
import { TEXTS } from './texts.js';

/** Times of one half of a day; the pupil puts them in order, the earliest first. */
export interface OrderTimesItem extends ItemBase {
  readonly kind: 'order-times';
  /** Three to five times in seconds since midnight, in the order they stand; all different, in one half of the day. */
  readonly times: readonly number[];
  readonly as: Given;
}

export interface OrderTimesResponse extends OrderAnswer {
  readonly kind: 'order-times';
}

export interface OrderTimesView extends ViewBase, OrderShapeView {
  readonly kind: 'order-times';
}

const give = (order: readonly number[]): OrderTimesResponse => ({ kind: 'order-times', order });
const cardsOf = (item: OrderTimesItem, settings: LessonSettings) =>
  item.times.map((sec) => asChoice(toSecondOfDay(sec), item.as, settings));
const dayOf = (item: OrderTimesItem, settings: LessonSettings) => TEXTS[tongueOf(settings)].day[halfOfDay(toSecondOfDay(item.times[0]!))];

export const orderTimes: QuestionKind<OrderTimesItem, OrderTimesResponse, OrderTimesView> = {
  name: 'Put times in order',
  thinkSec: 34,
  shape: 'order',
  timesOf: (item) => item.times.map(toSecondOfDay),
  keyOf: (item, settings) => give(ordered(item, actsOf([], settings), settings)),
  viewOf: (item, settings) => ({
    kind: 'order-times',
    shape: 'order',
    itemId: item.id,
    stem: TEXTS[tongueOf(settings)].stem,
    picture: { ...NO_PICTURE, lines: [dayOf(item, settings)] },
    cards: cardsOf(item, settings),
    layers: PLAIN_LAYERS,
  }),
  judge(item, response, settings): Judgement {
    const key = ordered(item, actsOf([], settings), settings);
    const right = key.map((place, index) => response.order[index] === place);
    const parts = [{ part: 'order', right: right.every(Boolean) } as const];
    if (response.order.length === 0) return { verdict: 'blank', parts };
    // One that only has to be moved to another place leaves all others in order.
    return { verdict: right.every(Boolean) ? 'right' : isOneOff(key, response.order) ? 'partly' : 'not-yet', parts };
  },
  predict: (item, acts, settings) => [give(ordered(item, acts, settings))],
  isSame: (_item, predicted, given) => sameOrder(predicted, given),
  isPossible: (item, response) => isOrder(response, item.times.length),
  doing: (item) => ['rank', item.as === 'words' ? 'mean' : 'read'],
  hint: (item, judgement, settings) => plainHint(judgement, orderTimes.lookAt(item, settings), settings),
  lookAt: (_item, settings) => TEXTS[tongueOf(settings)].lookAt,
  reason: (item, settings) => [orderTimes.keySentence(item, settings)],
  keySentence(item, settings) {
    const cards = cardsOf(item, settings);
    const named = ordered(item, actsOf([], settings), settings).map((place) => {
      const card = cards[place]!;
      return 'text' in card ? card.text : dialLetter(place);
    });
    return TEXTS[tongueOf(settings)].are(named.join(', '));
  },
  responseText: (_item, response) => orderText(response),
  asked: (item, settings) => ({ ...cardsOnStage(item, settings), stem: TEXTS[tongueOf(settings)].stem }),
  answered(item, settings) {
    const stage = cardsOnStage(item, settings);
    const sentence = orderTimes.keySentence(item, settings);
    return stage.dials.length > 0 ? { ...stage, words: [sentence], board: [sentence] } : { ...stage, board: [...stage.board, sentence] };
  },
  slip(item, rng, settings) {
    const order = [...ordered(item, actsOf([], settings), settings)];
    const place = Math.floor(rng() * (order.length - 1));
    [order[place], order[place + 1]] = [order[place + 1]!, order[place]!];
    return give(order);
  },
  make,
  samples: [
    { id: 'sample-noon', kind: 'order-times', times: [47_700, 45_000, 54_000], as: 'display' },
    { id: 'sample-dials', kind: 'order-times', times: [27_000, 9900, 21_900], as: 'dial' },
    { id: 'sample-words', kind: 'order-times', times: [13_500, 15_300, 8100], as: 'words' },
    { id: 'sample-night', kind: 'order-times', times: [3600, 1800, 7200, 5400], as: 'display' },
  ],
};

/** Places by where in the day somebody has them; of two at the same place the one that stands first. */
function ordered(item: OrderTimesItem, acts: Acts, settings: LessonSettings): number[] {
  const ranks = cardsOf(item, settings).map((card, place) => {
    const read = seenAs(card, acts)
      .map(timeTyped)
      .find((time) => time !== null);
    const at = inHalfOf(read ?? toSecondOfDay(item.times[place]!), item.times[0]!);
    return acts.rank(at);
  });
  return ranks.map((_, place) => place).sort((one, other) => ranks[one]! - ranks[other]! || one - other);
}

/** Whether taking one card out leaves the others in their order. */
function isOneOff(key: readonly number[], order: readonly number[]): boolean {
  return key.some((out) => key.filter((one) => one !== out).join() === order.filter((one) => one !== out).join());
}

function cardsOnStage(item: OrderTimesItem, settings: LessonSettings) {
  const cards = cardsOf(item, settings);
  const dials = cards.flatMap((card) => ('text' in card ? [] : [dialOfChoice(card, false)]));
  const lines = cards.flatMap((card, place) => ('text' in card ? [`${dialLetter(place)}  ${card.text}`] : []));
  if (dials.length > 0) return { ...pictureOnStage(NO_PICTURE), words: [dayOf(item, settings)], ...sideBySide(dials) };
  return pictureOnStage({ ...NO_PICTURE, lines: [dayOf(item, settings), ...lines] });
}

/** In one half of the day; two of three rows have a time in the hour of the 12, which comes first there: never noon or midnight itself. */
function make(id: string, rng: Rng, rung: RungTimes): OrderTimesItem {
  const half = rng() < 0.5 ? 0 : 12;
  const hours = shuffled([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11], rng).slice(0, 3);
  if (rng() < 0.67) hours[0] = 0;
  const drawn = hours.map((hour) => secondOfDay(half + hour, minuteOfHour(timeOnRung(rung, rng))));
  const spare = [1, 2, 3, 4].find((hour) => !hours.includes(hour))!;
  const times = drawn.map((at) => (isNoonOrMidnight(at) ? secondOfDay(half + spare, 0) : at));
  return { id, kind: 'order-times', times: shuffled(times, rng), as: oneOf(['display', 'dial', 'words'], rng) };
}
