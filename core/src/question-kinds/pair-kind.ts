import type { ActId, Acts } from '../acts/acts.js';
import type { RungTimes } from '../ladder/rung-times.js';
import type { LessonSettings } from '../lesson/settings.js';
import { actsOf } from '../misconceptions/distorted-acts.js';
import type { Rng } from '../random/rng.js';
import { dialLetter } from '../scene/describe-stage.js';
import { PLAIN_LAYERS } from '../scene/dial-state.js';
import { sideBySide, type StageState } from '../scene/stage-state.js';
import type { SecondOfDay } from '../time/second-of-day.js';
import { plainHint } from './kind-talk.js';
import { NO_PICTURE, pictureOnStage, type Picture } from './picture.js';
import type { ItemBase, Kinded, QuestionKind, ViewBase } from './question-kind.js';
import { dialOfChoice, type Choice } from './shapes/choices.js';
import { arePairs, judgePairs, pairsText, samePairs, type PairsAnswer, type PairsShapeView } from './shapes/pairs.js';

type Pairs = PairsAnswer['pairs'];

/** What a kind that is answered by putting cards together says of itself; the rest follows. */
export interface PairKindParts<Kind extends string, Item extends ItemBase & Kinded<Kind>> {
  readonly kind: Kind;
  readonly name: string;
  readonly thinkSec: number;
  timesOf(item: Item): readonly SecondOfDay[];
  stem(item: Item, settings: LessonSettings): string;
  readonly picture?: (item: Item) => Picture;
  cards(item: Item, settings: LessonSettings): readonly Choice[];
  partners(item: Item, settings: LessonSettings): readonly Choice[];
  /** What somebody who does the acts so puts together. */
  pairs(item: Item, acts: Acts, settings: LessonSettings): Pairs;
  doing(item: Item): readonly ActId[];
  lookAt(item: Item, settings: LessonSettings): string;
  /** What belongs together, in a sentence. */
  keySentence(item: Item, settings: LessonSettings, key: Pairs): string;
  make(id: string, rng: Rng, rung: RungTimes, settings: LessonSettings): Item;
  readonly samples: readonly Item[];
}

/** A question kind that is answered by putting each card to its partner. */
export function pairKind<Kind extends string, Item extends ItemBase & Kinded<Kind>>(
  parts: PairKindParts<Kind, Item>,
): QuestionKind<Item, PairsAnswer & Kinded<Kind>, ViewBase & PairsShapeView & Kinded<Kind>> {
  const { kind } = parts;
  const give = (pairs: Pairs) => ({ kind, pairs });
  const keyPairs = (item: Item, settings: LessonSettings) => parts.pairs(item, actsOf([], settings), settings);
  const pictureOf = (item: Item) => parts.picture?.(item) ?? NO_PICTURE;
  return {
    name: parts.name,
    thinkSec: parts.thinkSec,
    shape: 'pairs',
    timesOf: parts.timesOf,
    keyOf: (item, settings) => give(keyPairs(item, settings)),
    viewOf: (item, settings) => ({
      kind,
      shape: 'pairs',
      itemId: item.id,
      stem: parts.stem(item, settings),
      picture: pictureOf(item),
      cards: parts.cards(item, settings),
      partners: parts.partners(item, settings),
      layers: PLAIN_LAYERS,
    }),
    judge: (item, response, settings) => judgePairs(keyPairs(item, settings), response),
    predict(item, acts, settings) {
      const pairs = parts.pairs(item, acts, settings);
      // Whoever finds nothing that belongs together gives no answer that would tell why; else what is left is put together somehow.
      if (pairs.every((one) => one === null)) return [];
      return filledUp(pairs, parts.partners(item, settings).length).map(give);
    },
    isSame: (_item, predicted, given) => samePairs(predicted, given),
    isPossible: (item, response, settings) => arePairs(response, parts.cards(item, settings).length, parts.partners(item, settings).length),
    doing: parts.doing,
    hint: (item, judgement, settings) => plainHint(judgement, parts.lookAt(item, settings), settings),
    lookAt: parts.lookAt,
    reason: (item, settings) => [parts.keySentence(item, settings, keyPairs(item, settings))],
    keySentence: (item, settings) => parts.keySentence(item, settings, keyPairs(item, settings)),
    responseText: (_item, response) => pairsText(response),
    asked: (item, settings) => ({
      ...cardsOnStage(pictureOf(item), parts.cards(item, settings), parts.partners(item, settings)),
      stem: parts.stem(item, settings),
    }),
    answered(item, settings) {
      const key = keyPairs(item, settings);
      const stage = cardsOnStage(pictureOf(item), parts.cards(item, settings), parts.partners(item, settings));
      const sentence = parts.keySentence(item, settings, key);
      return { ...stage, words: [...stage.words, ...(stage.dials.length > 0 ? [sentence] : [])], board: [...stage.board, sentence] };
    },
    slip(item, rng, settings) {
      const key = [...keyPairs(item, settings)];
      const place = Math.floor(rng() * key.length);
      const other = (place + 1) % key.length;
      if (rng() < 0.3) return give(key.map((one, index) => (index === place ? null : one)));
      [key[place], key[other]] = [key[other]!, key[place]!];
      return give(key);
    },
    make: parts.make,
    samples: parts.samples,
  };
}

/** Every way to give the cards that have no partner yet one that is left; more than a few are not looked at. */
function filledUp(pairs: Pairs, partners: number): Pairs[] {
  const open = pairs.indexOf(null);
  if (open < 0) return [pairs];
  const left = Array.from({ length: partners }, (_, place) => place).filter((place) => !pairs.includes(place));
  if (left.length === 0) return [pairs];
  return left
    .flatMap((place) =>
      filledUp(
        pairs.map((one, index) => (index === open ? place : one)),
        partners,
      ),
    )
    .slice(0, MOST_FILLINGS);
}

/** Three cards in any order. */
const MOST_FILLINGS = 6;

/** Dials side by side with the partners above them, texts as lines: cards lettered, partners numbered. */
function cardsOnStage(picture: Picture, cards: readonly Choice[], partners: readonly Choice[]): StageState {
  const stage = pictureOnStage(picture);
  const dials = cards.flatMap((card) => ('text' in card ? [] : [dialOfChoice(card, false)]));
  const numbered = partners.flatMap((card, place) => ('text' in card ? [`${place + 1}  ${card.text}`] : []));
  if (dials.length > 0 && !picture.dial) return { ...stage, ...sideBySide(dials), words: [numbered.join('    ')] };
  // What is only a letter stands at its place in the picture.
  const lettered = cards.flatMap((card, place) =>
    'text' in card && card.text !== dialLetter(place) ? [`${dialLetter(place)}  ${card.text}`] : [],
  );
  return { ...stage, board: [...stage.board, ...lettered, numbered.join('    ')] };
}
