import { tongueOf } from '../../lesson/talk/registry.js';
import { haveAGo } from '../kind-talk.js';
import { TEXTS } from './texts.js';
import type { Acts } from '../../acts/acts.js';
import { sameTyped, timeTyped, typedTime, type TypedTime } from '../../acts/typed-time.js';
import { gearedPose, turnDeg, type Pose } from '../../dial/pose.js';
import { reportPose } from '../../dial/possible.js';
import type { LessonSettings } from '../../lesson/settings.js';
import { actsOf } from '../../misconceptions/distorted-acts.js';
import { dialLetter } from '../../scene/describe-stage.js';
import { dialOf, PLAIN_LAYERS, type DialLayers, type DialState } from '../../scene/dial-state.js';
import { CLEAR_STAGE, sideBySide, type StageState } from '../../scene/stage-state.js';
import { displayText } from '../../time/display.js';
import { toSecondOfDay, type SecondOfDay } from '../../time/second-of-day.js';
import { WORD_PACKS } from '../../words/registry.js';
import { bestWording } from '../../words/say.js';
import type { ItemBase, Judgement, QuestionKind, ViewBase } from '../question-kind.js';
import { chooseAllText } from './response-text.js';
import { makeChooseAll } from './make.js';
import { CHOOSE_ALL_SAMPLES } from './samples.js';

/** One choice: a dial, or a text in digits or words. */
export type Choice = DialChoice | { readonly text: string };

/** A plain dial; fewer numerals make it another clock that shows the same. */
export interface DialChoice extends Pose {
  readonly numerals: DialLayers['numerals'];
}

/** A time is given in words, on a display or on a dial; the pupil chooses all that show it. */
export interface ChooseAllItem extends ItemBase {
  readonly kind: 'choose-all';
  /** The time asked for, in seconds since midnight. */
  readonly timeSec: number;
  readonly from: 'words' | 'display' | 'dial';
  /** Two to eight, in the order they stand. */
  readonly choices: readonly Choice[];
}

export interface ChooseAllResponse {
  readonly kind: 'choose-all';
  /** Places of the choices taken, from 0; none where the pupil gave up. */
  readonly chosen: readonly number[];
}

export interface ChooseAllView extends ViewBase {
  readonly kind: 'choose-all';
  /** The dial that shows the time asked for, where it is given on one. */
  readonly shown: DialChoice | null;
  readonly choices: readonly Choice[];
  readonly layers: DialLayers;
}

/** Degrees that a hand may be off the place where an idea would have it. */
const NEAR_DEG = 3;

export const chooseAll: QuestionKind<ChooseAllItem, ChooseAllResponse, ChooseAllView> = {
  name: 'Choose all that show it',
  timesOf: (item) => [toSecondOfDay(item.timeSec)],
  keyOf: (item, settings) => responseOf(keyPlaces(item, settings)),
  viewOf: (item, settings) => ({
    kind: 'choose-all',
    itemId: item.id,
    stem: stemOf(item, settings),
    shown: item.from === 'dial' ? { ...gearedPose(toSecondOfDay(item.timeSec)), numerals: 'all' } : null,
    choices: item.choices,
    layers: PLAIN_LAYERS,
  }),
  judge,
  predict(item, acts, settings) {
    const chosen = targetsOf(item, acts, settings).map((target) => placesWhere(item, (choice) => isTakenFor(choice, target, acts)));
    return chosen.filter((places) => places.length > 0).map(responseOf);
  },
  isSame: (_item, predicted, given) => predicted.chosen.join() === sorted(given.chosen).join(),
  isPossible: (item, { chosen }) => new Set(chosen).size === chosen.length && chosen.every((place) => place < item.choices.length),
  doing: (item) => (item.from === 'words' ? 'mean' : 'read'),
  hint,
  reason(item, settings) {
    const key = keyPlaces(item, settings);
    const others = item.choices.flatMap((choice, place) => (key.includes(place) ? [] : [whatShows(choice, dialLetter(place), settings)]));
    return [chooseAll.keySentence(item, settings), ...others];
  },
  keySentence(item, settings) {
    const key = keyPlaces(item, settings);
    return TEXTS[tongueOf(settings)].show(key, askedText(item, settings));
  },
  responseText: (_item, response) => chooseAllText(response),
  asked: (item, settings) => ({ ...choicesOnStage(item, []), stem: stemOf(item, settings) }),
  answered(item, settings) {
    const stage = choicesOnStage(item, keyPlaces(item, settings));
    // Texts stand on the board with their ticks; beside dials the board gives the reason.
    return item.from === 'dial' ? stage : { ...stage, board: chooseAll.reason(item, settings) };
  },
  slip(item, rng, settings) {
    const key = keyPlaces(item, settings);
    const place = Math.floor(rng() * item.choices.length);
    const chosen = key.includes(place) ? key.filter((one) => one !== place) : sorted([...key, place]);
    return responseOf(chosen);
  },
  make: makeChooseAll,
  samples: CHOOSE_ALL_SAMPLES,
};

const sorted = (places: readonly number[]) => [...places].sort((a, b) => a - b);
const responseOf = (chosen: readonly number[]): ChooseAllResponse => ({ kind: 'choose-all', chosen });

const placesWhere = (item: ChooseAllItem, holds: (choice: Choice) => boolean): number[] =>
  item.choices.flatMap((choice, place) => (holds(choice) ? [place] : []));

function keyPlaces(item: ChooseAllItem, settings: LessonSettings): number[] {
  const acts = actsOf([], settings);
  return placesWhere(item, (choice) => isTakenFor(choice, toSecondOfDay(item.timeSec), acts));
}

/** The times that a pupil takes for the one asked for. */
function targetsOf(item: ChooseAllItem, acts: Acts, { pack }: LessonSettings): SecondOfDay[] {
  const at = toSecondOfDay(item.timeSec);
  if (item.from === 'display') return [at];
  const typed = item.from === 'words' ? acts.mean(bestWording(at, WORD_PACKS[pack])) : acts.read(gearedPose(at));
  return typed.map(timeTyped).filter((time) => time !== null);
}

/** Whether somebody who does the acts so takes a choice for a time: they read it so, or would have set it so. */
function isTakenFor(choice: Choice, target: SecondOfDay, acts: Acts): boolean {
  const wanted = typedTime(target);
  const isWanted = (typed: TypedTime) => sameTyped(typed, wanted);
  if ('text' in choice) return acts.mean(choice.text).some(isWanted);
  // What can be a time is read; what can be none is taken by whoever would have set it so.
  if (reportPose(choice).possible) return acts.read(choice).some(isWanted);
  return acts.set(target).some((pose) => isNear(pose, choice));
}

function isNear(a: Pose, b: Pose): boolean {
  return Math.abs(turnDeg(a.hourDeg, b.hourDeg)) <= NEAR_DEG && Math.abs(turnDeg(a.minuteDeg, b.minuteDeg)) <= NEAR_DEG;
}

function judge(item: ChooseAllItem, { chosen }: ChooseAllResponse, settings: LessonSettings): Judgement {
  const key = keyPlaces(item, settings);
  const right = key.join() === sorted(chosen).join();
  const parts = [{ part: 'choices', right } as const];
  if (right) return { verdict: 'right', parts };
  if (chosen.length === 0) return { verdict: 'blank', parts };
  return { verdict: chosen.some((place) => key.includes(place)) ? 'partly' : 'not-yet', parts };
}

function hint(_item: ChooseAllItem, { verdict }: Judgement, settings: LessonSettings): string {
  const text = TEXTS[tongueOf(settings)];
  if (verdict === 'right') return text.right;
  if (verdict === 'blank') return haveAGo(settings);
  const first = settings.readingOrder === 'hour-first' ? text.hourFirst : text.minuteFirst;
  return `${verdict === 'partly' ? text.someRight : text.notYet} ${first}`;
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

function dialOfChoice({ numerals, hourDeg, minuteDeg }: DialChoice, isKey: boolean): DialState {
  return { ...dialOf({ hourDeg, minuteDeg }, { ...PLAIN_LAYERS, numerals }), isKey };
}

/** Dials side by side, or texts on the board beside the dial they belong to. */
function choicesOnStage(item: ChooseAllItem, key: readonly number[]): StageState {
  const dials = item.choices.flatMap((choice, place) => ('text' in choice ? [] : [dialOfChoice(choice, key.includes(place))]));
  if (item.from !== 'dial') return { ...CLEAR_STAGE, ...sideBySide(dials) };
  const lines = item.choices.map((choice, place) => `${dialLetter(place)}  ${'text' in choice ? choice.text : ''}`);
  return {
    ...CLEAR_STAGE,
    dial: dialOf(gearedPose(toSecondOfDay(item.timeSec)), PLAIN_LAYERS),
    board: lines.map((line, place) => (key.includes(place) ? `${line} ✓` : line)),
  };
}
