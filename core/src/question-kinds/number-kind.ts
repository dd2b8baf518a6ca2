import type { ActId, Acts } from '../acts/acts.js';
import type { RungTimes } from '../ladder/rung-times.js';
import type { LessonSettings } from '../lesson/settings.js';
import type { Rng } from '../random/rng.js';
import { plainHint } from './kind-talk.js';
import { NO_PICTURE, pictureOnStage, type Picture } from './picture.js';
import type { ItemBase, Kinded, QuestionKind, ViewBase } from './question-kind.js';
import { judgeNumbers, numbersText, sameNumbers, slipOfNumbers, type NumbersAnswer, type NumbersShapeView } from './shapes/numbers.js';

/** What a kind that is answered with numbers says of itself; the rest follows. */
export interface NumberKindParts<Kind extends string, Item extends ItemBase & Kinded<Kind>> {
  readonly kind: Kind;
  readonly name: string;
  readonly thinkSec: number;
  stem(item: Item, settings: LessonSettings): string;
  readonly picture?: (item: Item) => Picture;
  /** What stands before each box. */
  labels(item: Item): readonly string[];
  readonly unit?: (item: Item, settings: LessonSettings) => string;
  key(item: Item): readonly number[];
  /** For each box what somebody who does the acts so may write; where an idea leaves a choice, it is the same way in all. */
  values(item: Item, acts: Acts): readonly (readonly number[])[];
  doing(item: Item): readonly ActId[];
  lookAt(item: Item, settings: LessonSettings): string;
  /** What the key is, and why. */
  reason(item: Item, settings: LessonSettings): readonly [string, ...string[]];
  /** The picture with the key in it, on the stage. */
  readonly answered?: (item: Item) => Picture;
  make(id: string, rng: Rng, rung: RungTimes): Item;
  readonly samples: readonly Item[];
}

/** A question kind that is answered with a number in each of one or more boxes. It is about no time of day. */
export function numberKind<Kind extends string, Item extends ItemBase & Kinded<Kind>>(
  parts: NumberKindParts<Kind, Item>,
): QuestionKind<Item, NumbersAnswer & Kinded<Kind>, ViewBase & NumbersShapeView & Kinded<Kind>> {
  const { kind } = parts;
  const give = (values: readonly (number | string)[]) => ({ kind, values: values.map(String) });
  const pictureOf = (item: Item) => parts.picture?.(item) ?? NO_PICTURE;
  return {
    name: parts.name,
    thinkSec: parts.thinkSec,
    shape: 'numbers',
    timesOf: () => [],
    keyOf: (item) => give(parts.key(item)),
    viewOf: (item, settings) => ({
      kind,
      shape: 'numbers',
      itemId: item.id,
      stem: parts.stem(item, settings),
      picture: pictureOf(item),
      labels: parts.labels(item),
      unit: parts.unit?.(item, settings) ?? '',
    }),
    judge: (item, response) => judgeNumbers(parts.key(item), response),
    predict(item, acts) {
      const values = parts.values(item, acts);
      const ways = Math.max(...values.map((choices) => choices.length));
      return Array.from({ length: ways }, (_, way) => give(values.map((choices) => choices[Math.min(way, choices.length - 1)] ?? '')));
    },
    isSame: (_item, predicted, given) => sameNumbers(predicted, given),
    isPossible: (item, { values }) => values.length === parts.labels(item).length,
    doing: parts.doing,
    hint: (item, judgement, settings) => plainHint(judgement, parts.lookAt(item, settings), settings),
    lookAt: parts.lookAt,
    reason: parts.reason,
    keySentence: (item, settings) => parts.reason(item, settings)[0],
    responseText: (_item, response) => numbersText(response),
    asked: (item, settings) => ({ ...pictureOnStage(pictureOf(item)), stem: parts.stem(item, settings) }),
    answered: (item, settings) => ({
      ...pictureOnStage(parts.answered?.(item) ?? pictureOf(item)),
      board: parts.reason(item, settings),
    }),
    slip: (item, rng) => give(slipOfNumbers(parts.key(item), rng).values),
    make: (id, rng, rung) => parts.make(id, rng, rung),
    samples: parts.samples,
  };
}
