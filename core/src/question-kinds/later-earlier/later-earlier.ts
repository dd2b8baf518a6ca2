import { CoreError } from '../../errors.js';
import type { Acts } from '../../acts/acts.js';
import { typedTime, type TypedTime } from '../../acts/typed-time.js';
import { rungsToTry, timeOnRung, type RungTimes } from '../../ladder/rung-times.js';
import type { LessonSettings } from '../../lesson/settings.js';
import { tongueOf } from '../../talk/registry.js';
import type { Rng } from '../../random/rng.js';
import { displayOf } from '../../scene/stage-state.js';
import { displayText } from '../../time/display.js';
import { later } from '../../time/duration.js';
import { hour12, minuteOfHour, toSecondOfDay, type SecondOfDay } from '../../time/second-of-day.js';
import { aboutForm, haveAGo, opener, partRight } from '../kind-talk.js';
import { NO_PICTURE, pictureOnStage } from '../picture.js';
import type { ItemBase, Judgement, QuestionKind, ViewBase } from '../question-kind.js';
import { written } from '../seen-as.js';
import { isOf12, isRightPart, judgeTime, timeShape, type TimeAnswer, type TimeShapeView } from '../shapes/time.js';
import { oneOf, slipOfTime } from '../slips.js';
import { TEXTS } from './texts.js';

/** Of start, end and length two are given; the pupil finds the third. */
export interface LaterEarlierItem extends ItemBase {
  readonly kind: 'later-earlier';
  /** The start, in seconds since midnight. */
  readonly startSec: number;
  /** How long it takes, in minutes, 1 to 660. */
  readonly minutes: number;
  readonly asks: 'end' | 'start' | 'length';
}

export interface LaterEarlierResponse extends TimeAnswer {
  readonly kind: 'later-earlier';
}

export interface LaterEarlierView extends ViewBase, TimeShapeView {
  readonly kind: 'later-earlier';
}

const startOf = (item: LaterEarlierItem) => toSecondOfDay(item.startSec);
const endOf = (item: LaterEarlierItem) => later(startOf(item), item.minutes * 60);
const give = ({ hour, minute }: TypedTime): LaterEarlierResponse => ({ kind: 'later-earlier', hour, minute });
const textsOf = (settings: LessonSettings) => TEXTS[tongueOf(settings)];

/** The time that is asked for; for a length there is none. */
const wantedOf = (item: LaterEarlierItem): SecondOfDay => (item.asks === 'start' ? startOf(item) : endOf(item));

export const laterEarlier: QuestionKind<LaterEarlierItem, LaterEarlierResponse, LaterEarlierView> = {
  ...timeShape,
  name: 'Later, earlier, how long',
  thinkSec: 34,
  timesOf: (item) => [startOf(item), endOf(item)],
  keyOf: (item) => give(item.asks === 'length' ? typedLength(item.minutes) : typedTime(wantedOf(item))),
  viewOf: (item, settings) => ({
    kind: 'later-earlier',
    shape: 'time',
    itemId: item.id,
    stem: stemOf(item, settings),
    picture: NO_PICTURE,
    separator: settings.separator,
    asks: item.asks === 'length' ? 'length' : 'time',
  }),
  judge: (item, response) => (item.asks === 'length' ? judgeLength(item.minutes, response) : judgeTime(wantedOf(item), response, 'of-12')),
  predict: (item, acts) => typed(item, acts).map(give),
  isSame(item, predicted, given) {
    if (item.asks === 'length') return isLength(given) && lengthOf(predicted) === lengthOf(given);
    return given.hour !== '' && Number(predicted.hour) === Number(given.hour) && predicted.minute === given.minute;
  },
  responseText: (item, response) => (item.asks === 'length' ? lengthText(response) : timeShape.responseText(item, response)),
  doing: (item) => (item.asks === 'length' ? ['between'] : ['later', 'digits']),
  hint,
  lookAt: (item, settings) => textsOf(settings).lookAt[item.asks],
  reason: (item, settings) => [...viaFullHour(item, settings), laterEarlier.keySentence(item, settings)],
  keySentence: (item, settings) =>
    textsOf(settings).keys[item.asks](
      item.asks === 'length' ? lengthWords(item.minutes, settings) : displayText(wantedOf(item), settings.separator),
    ),
  asked: (item, settings) => ({
    ...pictureOnStage(NO_PICTURE),
    stem: stemOf(item, settings),
    display: displayOf(null, null, settings.separator),
  }),
  answered(item, settings) {
    const { hour, minute } = typedTime(wantedOf(item));
    const board = laterEarlier.reason(item, settings);
    const display = item.asks === 'length' ? null : displayOf(hour, minute, settings.separator);
    return { ...pictureOnStage({ ...NO_PICTURE, band: lineOf(item) }), board, display };
  },
  slip(item, rng, settings) {
    const judge = (one: TypedTime) => laterEarlier.judge(item, give(one), settings);
    if (item.asks !== 'length') return give(slipOfTime(wantedOf(item), rng, judge));
    return give(typedLength(item.minutes + oneOf([5, 10, 60], rng)));
  },
  make,
  samples: (
    [
      [35_100, 30, 'end'],
      [35_100, 30, 'start'],
      [35_100, 30, 'length'],
      [43_200, 120, 'end'],
      [10_200, 20, 'length'],
      [21_600, 180, 'length'],
      [36_000, 150, 'end'],
      [46_800, 120, 'start'],
    ] as const
  ).map(([startSec, minutes, asks], index) => ({ id: `sample-${index}`, kind: 'later-earlier' as const, startSec, minutes, asks })),
};

/** A length as it is typed: whole hours and the minutes that are left. */
const typedLength = (minutes: number): TypedTime => ({ hour: String(Math.floor(minutes / 60)), minute: String(minutes % 60) });
const isLength = ({ hour, minute }: TypedTime) => hour !== '' || minute !== '';
const lengthOf = ({ hour, minute }: TypedTime) => Number(hour || 0) * 60 + Number(minute || 0);
const lengthText = (given: TimeAnswer): string => (isLength(given) ? `${given.hour || '0'} h ${given.minute || '0'} min` : 'blank');

function typed(item: LaterEarlierItem, acts: Acts): readonly TypedTime[] {
  if (item.asks === 'end') return written(acts.later(startOf(item), item.minutes), acts);
  if (item.asks === 'start') return written(acts.later(endOf(item), -item.minutes), acts);
  // Sixty stays sixty minutes to whoever takes them for a part of a hundred.
  return acts.between(startOf(item), endOf(item)).map((minutes) => typedLength(minutes));
}

/** Ninety minutes are an hour and a half, whichever way they are written. */
function judgeLength(minutes: number, given: TimeAnswer): Judgement {
  const wanted = typedLength(minutes);
  const isSum = isLength(given) && lengthOf(given) === minutes;
  const parts = [
    { part: 'hour', right: isSum || (given.hour !== '' && Number(given.hour) === Number(wanted.hour)) },
    { part: 'minute', right: isSum || (given.minute !== '' && Number(given.minute) === Number(wanted.minute)) },
  ] as const;
  if (!isLength(given)) return { verdict: 'blank', parts };
  if (isSum) return { verdict: Number(given.minute || 0) < 60 ? 'right' : 'right-other-form', parts };
  return {
    verdict: parts.some(({ right }) => right) && minutes > 59 ? 'partly' : 'not-yet',
    parts: minutes > 59 ? parts : parts.map((part) => ({ ...part, right: false })),
  };
}

function hint(item: LaterEarlierItem, judgement: Judgement, settings: LessonSettings, response: LaterEarlierResponse): string {
  const lookAt = textsOf(settings).lookAt[item.asks];
  if (judgement.verdict === 'blank') return haveAGo(settings);
  if (judgement.verdict === 'right') return opener(judgement, settings);
  if (judgement.verdict === 'right-other-form') return laterEarlier.keySentence(item, settings);
  const [hour, minute] = [isRightPart(judgement, 'hour'), isRightPart(judgement, 'minute')];
  if (hour && minute) return aboutForm(isOf12(response) ? 'twoDigits' : 'hoursTo12', settings);
  if (minute) return `${partRight('minutesRight', settings)} ${lookAt}`;
  if (hour) return `${partRight('hourRight', settings)} ${lookAt}`;
  return `${opener(judgement, settings)} ${lookAt}`;
}

function lengthWords(minutes: number, settings: LessonSettings): string {
  const text = textsOf(settings);
  const parts = [minutes >= 60 && text.hours(Math.floor(minutes / 60)), minutes % 60 > 0 && text.minutes(minutes % 60)];
  return parts.filter(Boolean).join(text.and);
}

function stemOf(item: LaterEarlierItem, settings: LessonSettings): string {
  const text = textsOf(settings);
  const [start, end] = [startOf(item), endOf(item)].map((at) => displayText(at, settings.separator));
  const length = lengthWords(item.minutes, settings);
  return item.asks === 'end' ? text.end(start!, length) : item.asks === 'start' ? text.start(end!, length) : text.length(start!, end!);
}

/** The way over the full hour, where there is one between start and end: back from the end where the start is asked for. */
function viaFullHour(item: LaterEarlierItem, settings: LessonSettings): string[] {
  const text = textsOf(settings);
  const shown = (at: SecondOfDay) => displayText(at, settings.separator);
  const [start, end] = [startOf(item), endOf(item)];
  const isBack = item.asks === 'start';
  const toFull = isBack ? minuteOfHour(end) : (60 - minuteOfHour(start)) % 60;
  if (toFull === 0 || toFull >= item.minutes) return [];
  const full = later(isBack ? end : start, (isBack ? -toFull : toFull) * 60);
  const rest = lengthWords(item.minutes - toFull, settings);
  const first = isBack ? text.backTo(shown(end), shown(full)) : text.onTo(shown(start), shown(full));
  if (item.asks === 'length') return [first, text.onFrom(shown(full), shown(end))];
  return [first, isBack ? text.thenBack(rest) : text.thenOn(rest)];
}

/** The jump along the hour line, where start and end are within one hour of it. */
function lineOf(item: LaterEarlierItem) {
  const from = minuteOfHour(startOf(item));
  const to = from + item.minutes;
  if (to > 60) return null;
  // Back from the end where the start is looked for.
  const jumps = [item.asks === 'start' ? { from: to, to: from } : { from, to }];
  return { type: 'hour-line', hour: hour12(startOf(item)), by: 5, at: null, jumps } as const;
}

/** Lengths that the rung can count; over the full hour more often than not, since there the mistakes are. */
function make(id: string, rng: Rng, wanted: RungTimes): LaterEarlierItem {
  const steps = [...new Set(wanted.minutes.filter((minute) => minute > 0 && minute % 5 === 0))];
  const lengths = [...steps, 60, 120, 180];
  for (const rung of rungsToTry(wanted)) {
    const start = timeOnRung(rung, rng);
    const minutes = lengths[Math.floor(rng() * lengths.length)]! + (rng() < 0.25 ? 60 : 0);
    const end = later(start, minutes * 60);
    if (rung.minutes.includes(minuteOfHour(end)))
      return { id, kind: 'later-earlier', startSec: start, minutes, asks: oneOf(['end', 'start', 'length'], rng) };
  }
  throw new CoreError('ITEM_NOT_MADE', 'No such question could be made on this rung.');
}
