import { talkOf, tongueOf } from '../../lesson/talk/registry.js';
import { countOnceMore, haveAGo, reasonLayers, whereToBegin } from '../kind-talk.js';
import { TEXTS } from './texts.js';
import { typedTime } from '../../acts/typed-time.js';
import type { Pose } from '../../dial/pose.js';
import { gearedPose } from '../../dial/pose.js';
import { timeOnRung } from '../../ladder/rung.js';
import { reasonFor } from '../../lesson/reason.js';
import type { LessonSettings } from '../../lesson/settings.js';
import { dialOf, PLAIN_LAYERS, type DialLayers } from '../../scene/dial-state.js';
import { CLEAR_STAGE, displayOf } from '../../scene/stage-state.js';
import type { DisplaySeparator } from '../../time/display.js';
import { displayText } from '../../time/display.js';
import { hour12, minuteOfHour, onDial, toSecondOfDay } from '../../time/second-of-day.js';
import { WORD_PACKS } from '../../words/registry.js';
import { say } from '../../words/say.js';
import type { ItemBase, Judgement, QuestionKind, ViewBase } from '../question-kind.js';
import { oneOf, timeBeside } from '../slips.js';
import { isRightVerdict } from '../verdict.js';
import { readDialText } from './response-text.js';

/** A dial is shown; the pupil fills the two boxes of a display. */
export interface ReadDialItem extends ItemBase {
  readonly kind: 'read-dial';
  /** The time that is shown, in seconds since midnight. */
  readonly timeSec: number;
}

/** The digits as typed, one or two in each box, or none where the pupil gave up. */
export interface ReadDialResponse {
  readonly kind: 'read-dial';
  readonly hour: string;
  readonly minute: string;
}

export interface ReadDialView extends ViewBase {
  readonly kind: 'read-dial';
  readonly pose: Pose;
  readonly layers: DialLayers;
  readonly separator: DisplaySeparator;
}

const poseOf = (item: ReadDialItem) => gearedPose(toSecondOfDay(item.timeSec));

export const readDial: QuestionKind<ReadDialItem, ReadDialResponse, ReadDialView> = {
  name: 'Read a dial',
  timesOf: (item) => [toSecondOfDay(item.timeSec)],
  keyOf: (item) => ({ kind: 'read-dial', ...typedTime(toSecondOfDay(item.timeSec)) }),
  viewOf: (item, settings) => ({
    kind: 'read-dial',
    itemId: item.id,
    stem: TEXTS[tongueOf(settings)].stem,
    pose: poseOf(item),
    layers: PLAIN_LAYERS,
    separator: settings.separator,
  }),
  judge,
  predict: (item, acts) => acts.read(poseOf(item)).map((typed) => ({ kind: 'read-dial', ...typed })),
  isSame: (_item, predicted, given) =>
    given.hour !== '' && onDial(Number(predicted.hour)) === onDial(Number(given.hour)) && predicted.minute === given.minute,
  isPossible: () => true,
  doing: () => 'read',
  hint,
  reason: (item, settings) => reasonFor(toSecondOfDay(item.timeSec), settings),
  keySentence: (item, settings) => talkOf(settings).itIs(displayText(toSecondOfDay(item.timeSec), settings.separator)),
  responseText: (_item, response) => readDialText(response),
  asked: (item, settings) => ({
    ...CLEAR_STAGE,
    dial: dialOf(poseOf(item), PLAIN_LAYERS),
    display: displayOf(null, null, settings.separator),
    stem: TEXTS[tongueOf(settings)].stem,
  }),
  answered(item, settings) {
    const at = toSecondOfDay(item.timeSec);
    const { hour, minute } = typedTime(at);
    return {
      ...CLEAR_STAGE,
      dial: dialOf(poseOf(item), reasonLayers(settings)),
      display: displayOf(hour, minute, settings.separator),
      words: say(at, WORD_PACKS[settings.pack]),
      board: reasonFor(at, settings),
    };
  },
  slip(item, rng) {
    const at = toSecondOfDay(item.timeSec);
    const key = typedTime(at);
    const exchanged = { hour: key.minute, minute: key.hour.padStart(2, '0') };
    const turned = { hour: key.hour, minute: [...key.minute].reverse().join('') };
    const beside = typedTime(timeBeside(at, rng));
    const digit = { ...key, minute: `${key.minute[0]}${(Number(key.minute[1]) + oneOf([1, 9], rng)) % 10}` };
    const nothing = { hour: '', minute: '' };
    const slipped = oneOf([beside, digit, { ...key, minute: '' }, nothing, exchanged, turned], rng);
    const isSlip = !isRightVerdict(judge(item, { kind: 'read-dial', ...slipped }).verdict);
    return { kind: 'read-dial', ...(isSlip ? slipped : beside) };
  },
  make: (id, rng, rung) => ({ id, kind: 'read-dial', timeSec: timeOnRung(rung, rng) }),
  samples: [27_000, 0, 43_200, 45_300, 60_600, 21_900, 35_940, 3660].map((timeSec, index) => ({
    id: `sample-${index}`,
    kind: 'read-dial',
    timeSec,
  })),
};

function judge(item: ReadDialItem, response: ReadDialResponse): Judgement {
  const at = toSecondOfDay(item.timeSec);
  const hour = Number(response.hour || NaN);
  const right = {
    hour: hour <= 23 && onDial(hour) === hour12(at), // a dial does not tell the halves of a day apart
    minute: Number(response.minute || NaN) === minuteOfHour(at),
    form: response.minute.length === 2,
  };
  const parts = (['hour', 'minute', 'form'] as const).map((part) => ({ part, right: right[part] }));
  if (response.hour === '' && response.minute === '') return { verdict: 'blank', parts };
  if (right.hour && right.minute && right.form) return { verdict: hour === hour12(at) ? 'right' : 'right-other-form', parts };
  return { verdict: right.hour || right.minute ? 'partly' : 'not-yet', parts };
}

function hint(item: ReadDialItem, { verdict, parts }: Judgement, settings: LessonSettings): string {
  const at = toSecondOfDay(item.timeSec);
  const text = TEXTS[tongueOf(settings)];
  const time = displayText(at, settings.separator);
  const isRight = (wanted: 'hour' | 'minute') => parts.some(({ part, right }) => part === wanted && right);
  if (verdict === 'blank') return haveAGo(settings);
  if (verdict === 'right') return text.right(time);
  if (verdict === 'right-other-form') return text.otherForm(time);
  if (isRight('hour') && isRight('minute')) return text.twoDigits;
  if (isRight('minute')) return `${text.minutesRight} ${talkOf(settings).hourReason(at, settings.betweenRule)}`;
  if (isRight('hour')) return `${text.hourRight} ${countOnceMore(at, settings)}`;
  return whereToBegin(at, settings);
}
