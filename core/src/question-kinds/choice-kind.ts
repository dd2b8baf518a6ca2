import type { ActId, Acts } from '../acts/acts.js';
import type { RungTimes } from '../ladder/rung-times.js';
import type { LessonSettings } from '../lesson/settings.js';
import { actsOf } from '../misconceptions/distorted-acts.js';
import type { Rng } from '../random/rng.js';
import { PLAIN_LAYERS } from '../scene/dial-state.js';
import type { SecondOfDay } from '../time/second-of-day.js';
import { plainHint } from './kind-talk.js';
import { NO_PICTURE, type Picture } from './picture.js';
import type { ItemBase, Kinded, QuestionKind, ViewBase } from './question-kind.js';
import {
  choicesOnStage,
  choicesText,
  inOrder,
  judgeChoices,
  sameChoices,
  type Choice,
  type ChoicesAnswer,
  type ChoicesShapeView,
} from './shapes/choices.js';

/** What a kind that is answered by taking choices says of itself; the rest follows. */
export interface ChoiceKindParts<Kind extends string, Item extends ItemBase & Kinded<Kind>> {
  readonly kind: Kind;
  readonly name: string;
  readonly thinkSec: number;
  /** Several may be right; where it is absent, one is. */
  readonly several?: true;
  timesOf(item: Item): readonly SecondOfDay[];
  stem(item: Item, settings: LessonSettings): string;
  readonly picture?: (item: Item, settings: LessonSettings) => Picture;
  choices(item: Item, settings: LessonSettings): readonly Choice[];
  /** What somebody who does the acts so takes: a list of places for each way they may go. The right acts give the key alone. */
  taken(item: Item, acts: Acts, settings: LessonSettings): readonly (readonly number[])[];
  doing(item: Item): readonly ActId[];
  lookAt(item: Item, settings: LessonSettings): string;
  /** Why the key is right; the first sentence says what the key is. */
  reason(item: Item, settings: LessonSettings, key: readonly number[]): readonly [string, ...string[]];
  make(id: string, rng: Rng, rung: RungTimes, settings: LessonSettings): Item;
  readonly samples: readonly Item[];
}

/** A question kind that is answered by taking one or several of the choices it shows. */
export function choiceKind<Kind extends string, Item extends ItemBase & Kinded<Kind>>(
  parts: ChoiceKindParts<Kind, Item>,
): QuestionKind<Item, ChoicesAnswer & Kinded<Kind>, ViewBase & ChoicesShapeView & Kinded<Kind>> {
  const { kind, several = false } = parts;
  const keyPlaces = (item: Item, settings: LessonSettings) => parts.taken(item, actsOf([], settings), settings)[0] ?? [];
  const pictureOf = (item: Item, settings: LessonSettings) => parts.picture?.(item, settings) ?? NO_PICTURE;
  const give = (chosen: readonly number[]) => ({ kind, chosen });
  const stageWith = (item: Item, settings: LessonSettings, key: readonly number[]) =>
    choicesOnStage(pictureOf(item, settings), parts.choices(item, settings), key);
  return {
    name: parts.name,
    thinkSec: parts.thinkSec,
    shape: 'choices',
    timesOf: parts.timesOf,
    keyOf: (item, settings) => give(keyPlaces(item, settings)),
    viewOf: (item, settings) => ({
      kind,
      shape: 'choices',
      itemId: item.id,
      stem: parts.stem(item, settings),
      picture: pictureOf(item, settings),
      choices: parts.choices(item, settings),
      several,
      layers: PLAIN_LAYERS,
    }),
    judge: (item, response, settings) => judgeChoices(keyPlaces(item, settings), response),
    predict: (item, acts, settings) =>
      parts.taken(item, acts, settings).flatMap((places) => (places.length > 0 ? [give(inOrder(places))] : [])),
    isSame: (_item, predicted, given) => sameChoices(predicted, given),
    isPossible: (item, { chosen }, settings) =>
      new Set(chosen).size === chosen.length &&
      (several || chosen.length <= 1) &&
      chosen.every((place) => place < parts.choices(item, settings).length),
    doing: parts.doing,
    hint: (item, judgement, settings) => plainHint(judgement, parts.lookAt(item, settings), settings),
    lookAt: parts.lookAt,
    reason: (item, settings) => parts.reason(item, settings, keyPlaces(item, settings)),
    keySentence: (item, settings) => parts.reason(item, settings, keyPlaces(item, settings))[0],
    responseText: (item, response, settings) => choicesText(response, parts.choices(item, settings)),
    asked: (item, settings) => ({ ...stageWith(item, settings, []), stem: parts.stem(item, settings) }),
    answered(item, settings) {
      const key = keyPlaces(item, settings);
      const stage = stageWith(item, settings, key);
      return { ...stage, board: [...stage.board, ...parts.reason(item, settings, key)] };
    },
    slip(item, rng, settings) {
      const key = keyPlaces(item, settings);
      const count = parts.choices(item, settings).length;
      const place = Math.floor(rng() * count);
      if (several) return give(key.includes(place) ? key.filter((one) => one !== place) : inOrder([...key, place]));
      return give([key.includes(place) ? (place + 1) % count : place]);
    },
    make: parts.make,
    samples: parts.samples,
  };
}
