import type { Acts } from '../../acts/acts.js';
import { timeTyped } from '../../acts/typed-time.js';
import { timeOnRung, type RungTimes } from '../../ladder/rung-times.js';
import type { LessonSettings } from '../../lesson/settings.js';
import { talkOf, tongueOf } from '../../talk/registry.js';
import type { Rng } from '../../random/rng.js';
import type { Band } from '../../scene/bands/band.js';
import { displayText } from '../../time/display.js';
import { inHalf } from '../../time/occurrence.js';
import { hour12, minuteOfHour, SECONDS_PER_DAY, toSecondOfDay, wrapSecondOfDay, type SecondOfDay } from '../../time/second-of-day.js';
import { plainHint, withDayPart } from '../kind-talk.js';
import { NO_PICTURE, pictureOnStage, type Picture } from '../picture.js';
import type { ItemBase, Judgement, QuestionKind, ViewBase } from '../question-kind.js';
import { asChoice, asPicture, seenAs, type Given } from '../seen-as.js';
import type { LineAnswer, LineShapeView } from '../shapes/line.js';
import { oneOf } from '../slips.js';
import { TEXTS } from './texts.js';

/** A time is given; the pupil puts a marker where it is on the line of an hour or of a day. */
export interface PlaceOnLineItem extends ItemBase {
  readonly kind: 'place-on-line';
  /** The time, in seconds since midnight. */
  readonly timeSec: number;
  readonly line: 'hour' | 'day';
  /** How it is given for the hour line; on the day line it is a display with the part of the day. */
  readonly from: Given;
}

export interface PlaceOnLineResponse extends LineAnswer {
  readonly kind: 'place-on-line';
}

export interface PlaceOnLineView extends ViewBase, LineShapeView {
  readonly kind: 'place-on-line';
}

const HOUR_SEC = 3600;
/** The marker goes by minutes on the hour line, by quarters of an hour on the day line. */
const STEP_SEC = { hour: 60, day: 900 } as const;
/** As far off as a finger may be, in seconds: a minute on the hour line, half an hour on the day line. */
const NEAR_SEC = { hour: 60, day: 1800 } as const;

const atOf = (item: PlaceOnLineItem) => toSecondOfDay(item.timeSec);
const hourStart = (at: SecondOfDay) => at - (at % HOUR_SEC);
const give = (atSec: number): PlaceOnLineResponse => ({ kind: 'place-on-line', atSec });

export const placeOnLine: QuestionKind<PlaceOnLineItem, PlaceOnLineResponse, PlaceOnLineView> = {
  name: 'Place on a line',
  thinkSec: 20,
  shape: 'line',
  timesOf: (item) => [atOf(item)],
  keyOf: (item) => give(item.timeSec),
  onPaper: { stem: (item, settings) => TEXTS[tongueOf(settings)].onPaper[item.line] },
  viewOf: (item, settings) => ({
    kind: 'place-on-line',
    shape: 'line',
    itemId: item.id,
    stem: TEXTS[tongueOf(settings)].stem[item.line],
    picture: pictureOf(item, settings),
    line: lineOf(item, null, settings),
    fromSec: item.line === 'hour' ? hourStart(atOf(item)) : 0,
    toSec: item.line === 'hour' ? hourStart(atOf(item)) + HOUR_SEC : SECONDS_PER_DAY,
    stepSec: STEP_SEC[item.line],
  }),
  judge(item, { atSec }): Judgement {
    const right = isNear(item, item.timeSec, atSec);
    return { verdict: right ? 'right' : 'not-yet', parts: [{ part: 'place', right }] };
  },
  predict: (item, acts, settings) => [...new Set(placesOf(item, acts, settings))].map(give),
  isSame: (item, predicted, given) => isNear(item, predicted.atSec, given.atSec),
  isPossible(item, { atSec }) {
    const start = item.line === 'hour' ? hourStart(atOf(item)) : 0;
    return atSec >= start && atSec <= start + (item.line === 'hour' ? HOUR_SEC : SECONDS_PER_DAY);
  },
  doing: (item) => (item.line === 'day' ? ['half'] : item.from === 'words' ? ['mean'] : ['read']),
  hint: (item, judgement, settings) => plainHint(judgement, placeOnLine.lookAt(item, settings), settings),
  lookAt: (item, settings) => TEXTS[tongueOf(settings)].lookAt[item.line],
  reason: (item, settings) =>
    item.line === 'hour'
      ? [talkOf(settings).minuteReason(atOf(item)), placeOnLine.keySentence(item, settings)]
      : [placeOnLine.keySentence(item, settings)],
  keySentence: (item, settings) =>
    TEXTS[tongueOf(settings)].at(item.line === 'day' ? withDayPart(atOf(item), settings) : displayText(atOf(item), settings.separator)),
  responseText: (item, { atSec }, settings) => {
    const at = wrapSecondOfDay(atSec);
    return item.line === 'day' ? withDayPart(at, settings) : displayText(at, settings.separator);
  },
  asked: (item, settings) => ({
    ...pictureOnStage({ ...pictureOf(item, settings), band: lineOf(item, null, settings) }),
    stem: TEXTS[tongueOf(settings)].stem[item.line],
  }),
  answered: (item, settings) => ({
    ...pictureOnStage({ ...pictureOf(item, settings), band: lineOf(item, atOf(item), settings) }),
    board: placeOnLine.reason(item, settings),
  }),
  slip(item, rng) {
    const off = oneOf([5, -5, 10, -10], rng) * STEP_SEC[item.line];
    const { fromSec, toSec } = endsOf(item);
    const place = item.timeSec + off;
    return give(place >= fromSec && place <= toSec ? place : item.timeSec - off);
  },
  make,
  samples: [
    { id: 'sample-quarter', kind: 'place-on-line', timeSec: 58_500, line: 'hour', from: 'words' },
    { id: 'sample-to', kind: 'place-on-line', timeSec: 56_700, line: 'hour', from: 'words' },
    { id: 'sample-dial', kind: 'place-on-line', timeSec: 25_800, line: 'hour', from: 'dial' },
    { id: 'sample-evening', kind: 'place-on-line', timeSec: 70_200, line: 'day', from: 'display' },
    { id: 'sample-night', kind: 'place-on-line', timeSec: 1800, line: 'day', from: 'display' },
    { id: 'sample-noon', kind: 'place-on-line', timeSec: 45_000, line: 'day', from: 'display' },
  ],
};

/** Midnight is at both ends of the line of a day. */
function isNear({ line }: PlaceOnLineItem, wantedSec: number, givenSec: number): boolean {
  const places = line === 'day' && wantedSec % SECONDS_PER_DAY === 0 ? [0, SECONDS_PER_DAY] : [wantedSec];
  return places.some((place) => Math.abs(givenSec - place) <= NEAR_SEC[line]);
}

const endsOf = (item: PlaceOnLineItem) =>
  item.line === 'day'
    ? { fromSec: 0, toSec: SECONDS_PER_DAY - 1 }
    : { fromSec: hourStart(atOf(item)), toSec: Math.min(hourStart(atOf(item)) + HOUR_SEC, SECONDS_PER_DAY - 1) };

function pictureOf(item: PlaceOnLineItem, settings: LessonSettings): Picture {
  if (item.line === 'day') return { ...NO_PICTURE, lines: [withDayPart(atOf(item), settings)] };
  return asPicture(atOf(item), item.from, settings);
}

function lineOf(
  item: PlaceOnLineItem,
  at: SecondOfDay | null,
  settings: LessonSettings,
): Extract<Band, { type: 'hour-line' | 'day-line' }> {
  if (item.line === 'day') return { type: 'day-line', atSec: at, events: [], separator: settings.separator, tongue: tongueOf(settings) };
  return { type: 'hour-line', hour: hour12(atOf(item)), by: 5, at: at === null ? null : minuteOfHour(at), jumps: [] };
}

/** Where somebody who does the acts so puts the marker. */
function placesOf(item: PlaceOnLineItem, acts: Acts, settings: LessonSettings): number[] {
  const at = atOf(item);
  if (item.line === 'day') return acts.half(at).map((half) => inHalf(at, half));
  const times = seenAs(asChoice(at, item.from, settings), acts).map(timeTyped);
  return times.flatMap((time) => (time === null ? [] : [hourStart(at) + minuteOfHour(time) * 60]));
}

/** Days where the rung is about them, hours elsewhere; a display alone says too much of the hour line. */
function make(id: string, rng: Rng, rung: RungTimes): PlaceOnLineItem {
  const timeSec = timeOnRung(rung, rng);
  const line = rung.kinds.includes('half-of-day') || rung.minutes.length === 1 ? 'day' : 'hour';
  return { id, kind: 'place-on-line', timeSec, line, from: line === 'day' ? 'display' : oneOf(['words', 'dial'], rng) };
}
