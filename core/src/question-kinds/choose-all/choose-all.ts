import { gearedPose } from '../../dial/pose.js';
import { reportPose } from '../../dial/possible.js';
import type { LessonSettings } from '../../lesson/settings.js';
import { tongueOf } from '../../talk/registry.js';
import { actsOf } from '../../misconceptions/distorted-acts.js';
import { dialLetter } from '../../scene/describe-stage.js';
import { PLAIN_LAYERS } from '../../scene/dial-state.js';
import { displayText } from '../../time/display.js';
import { toSecondOfDay } from '../../time/second-of-day.js';
import { WORD_PACKS } from '../../words/registry.js';
import { bestWording } from '../../words/say.js';
import { haveAGo } from '../kind-talk.js';
import { dialPicture, NO_PICTURE, type Picture } from '../picture.js';
import type { Judgement, QuestionKind, ViewBase } from '../question-kind.js';
import { isTakenFor, targetsOf } from '../seen-as.js';
import {
  choicesOnStage,
  choicesText,
  inOrder,
  judgeChoices,
  sameChoices,
  type Choice,
  type ChoicesAnswer,
  type ChoicesShapeView,
} from '../shapes/choices.js';
import type { ChooseAllItem } from './item.js';
import { makeChooseAll } from './make.js';
import { CHOOSE_ALL_SAMPLES } from './samples.js';
import { TEXTS } from './texts.js';

export interface ChooseAllResponse extends ChoicesAnswer {
  readonly kind: 'choose-all';
}

export interface ChooseAllView extends ViewBase, ChoicesShapeView {
  readonly kind: 'choose-all';
}

export const chooseAll: QuestionKind<ChooseAllItem, ChooseAllResponse, ChooseAllView> = {
  name: 'Choose all that show it',
  thinkSec: 34,
  shape: 'choices',
  timesOf: (item) => [toSecondOfDay(item.timeSec)],
  keyOf: (item, settings) => responseOf(keyPlaces(item, settings)),
  viewOf: (item, settings) => ({
    kind: 'choose-all',
    shape: 'choices',
    itemId: item.id,
    stem: stemOf(item, settings),
    picture: pictureOf(item),
    choices: item.choices,
    several: true,
    layers: PLAIN_LAYERS,
  }),
  judge: (item, response, settings) => judgeChoices(keyPlaces(item, settings), response),
  predict(item, acts, settings) {
    const chosen = targetsOf(toSecondOfDay(item.timeSec), item.from, acts, settings).map((target) =>
      placesWhere(item, (choice) => isTakenFor(choice, target, acts)),
    );
    return chosen.filter((places) => places.length > 0).map(responseOf);
  },
  isSame: (_item, predicted, given) => sameChoices(predicted, given),
  isPossible: (item, { chosen }) => new Set(chosen).size === chosen.length && chosen.every((place) => place < item.choices.length),
  doing: (item) => (item.from === 'words' ? ['mean', 'read', 'set'] : ['read', 'set', 'mean']),
  hint,
  lookAt: (_item, settings) => lookAt(settings),
  reason(item, settings) {
    const key = keyPlaces(item, settings);
    const others = item.choices.flatMap((choice, place) => (key.includes(place) ? [] : [whatShows(choice, dialLetter(place), settings)]));
    return [chooseAll.keySentence(item, settings), ...others];
  },
  keySentence(item, settings) {
    const key = keyPlaces(item, settings);
    return TEXTS[tongueOf(settings)].show(key, askedText(item, settings));
  },
  responseText: (item, response) => choicesText(response, item.choices),
  asked: (item, settings) => ({ ...choicesOnStage(pictureOf(item), item.choices, []), stem: stemOf(item, settings) }),
  answered(item, settings) {
    const stage = choicesOnStage(pictureOf(item), item.choices, keyPlaces(item, settings));
    // Texts stand on the board with their ticks; beside dials the board gives the reason.
    return item.from === 'dial' ? stage : { ...stage, board: chooseAll.reason(item, settings) };
  },
  slip(item, rng, settings) {
    const key = keyPlaces(item, settings);
    const place = Math.floor(rng() * item.choices.length);
    const chosen = key.includes(place) ? key.filter((one) => one !== place) : inOrder([...key, place]);
    return responseOf(chosen);
  },
  make: makeChooseAll,
  samples: CHOOSE_ALL_SAMPLES,
};

const responseOf = (chosen: readonly number[]): ChooseAllResponse => ({ kind: 'choose-all', chosen });

const placesWhere = (item: ChooseAllItem, holds: (choice: Choice) => boolean): number[] =>
  item.choices.flatMap((choice, place) => (holds(choice) ? [place] : []));

function keyPlaces(item: ChooseAllItem, settings: LessonSettings): number[] {
  const acts = actsOf([], settings);
  return placesWhere(item, (choice) => isTakenFor(choice, toSecondOfDay(item.timeSec), acts));
}

const pictureOf = (item: ChooseAllItem): Picture =>
  item.from === 'dial' ? dialPicture(gearedPose(toSecondOfDay(item.timeSec)), PLAIN_LAYERS) : NO_PICTURE;

function hint(_item: ChooseAllItem, { verdict }: Judgement, settings: LessonSettings): string {
  const text = TEXTS[tongueOf(settings)];
  if (verdict === 'right') return text.right;
  if (verdict === 'blank') return haveAGo(settings);
  return `${verdict === 'partly' ? text.someRight : text.notYet} ${lookAt(settings)}`;
}

function lookAt(settings: LessonSettings): string {
  const text = TEXTS[tongueOf(settings)];
  return settings.readingOrder === 'hour-first' ? text.hourFirst : text.minuteFirst;
}

/** The time asked for, as the stem names it. */
function askedText(item: ChooseAllItem, settings: LessonSettings): string {
  const at = toSecondOfDay(item.timeSec);
  return item.from === 'words' ? bestWording(at, WORD_PACKS[settings.pack]) : displayText(at, settings.separator);
}

function stemOf(item: ChooseAllItem, settings: LessonSettings): string {
  const text = TEXTS[tongueOf(settings)];
  return item.from === 'dial' ? text.stemOfDial : text.stem(askedText(item, settings));
}

function whatShows(choice: Choice, letter: string, settings: LessonSettings): string {
  const text = TEXTS[tongueOf(settings)];
  if ('text' in choice) return text.otherTime(letter);
  const { possible, nearest } = reportPose(choice);
  return possible ? text.shows(letter, displayText(nearest, settings.separator)) : text.noTime(letter);
}
