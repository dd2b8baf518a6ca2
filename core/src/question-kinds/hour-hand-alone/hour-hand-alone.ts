import { typedTime } from '../../acts/typed-time.js';
import { gearedPose } from '../../dial/pose.js';
import { timeOnRung } from '../../ladder/rung-times.js';
import type { LessonSettings } from '../../lesson/settings.js';
import { talkOf, tongueOf } from '../../talk/registry.js';
import { PLAIN_LAYERS, type DialLayers } from '../../scene/dial-state.js';
import { displayText } from '../../time/display.js';
import { minuteOfHour, onDial, SECONDS_PER_HALF_DAY, toSecondOfDay } from '../../time/second-of-day.js';
import { dialPicture } from '../picture.js';
import type { ItemBase, Judgement } from '../question-kind.js';
import type { TimeAnswer } from '../shapes/time.js';
import { timeKind } from '../time-kind.js';
import { TEXTS } from './texts.js';

/** Only the hour hand is seen; the pupil estimates the time on a display. */
export interface HourHandAloneItem extends ItemBase {
  readonly kind: 'hour-hand-alone';
  /** The time that the hour hand shows, in seconds since midnight. */
  readonly timeSec: number;
}

const HOUR_HAND_ONLY: DialLayers = { ...PLAIN_LAYERS, minuteHand: false };
/** An eye is off by two degrees of the hour hand easily, and a child’s estimate is a quarter of an hour's: ten minutes either way. */
const ABOUT_MIN = 10;

const atOf = (item: HourHandAloneItem) => toSecondOfDay(item.timeSec);
const about = (item: HourHandAloneItem, settings: LessonSettings) =>
  TEXTS[tongueOf(settings)].about(displayText(atOf(item), settings.separator));

export const hourHandAlone = timeKind<'hour-hand-alone', HourHandAloneItem>({
  kind: 'hour-hand-alone',
  name: 'Hour hand alone',
  thinkSec: 20,
  form: 'dial',
  at: atOf,
  timesOf: (item) => [atOf(item)],
  stem: (_item, settings) => TEXTS[tongueOf(settings)].stem,
  picture: (item) => dialPicture(gearedPose(atOf(item)), HOUR_HAND_ONLY),
  typed(item, acts) {
    const { minute } = typedTime(atOf(item));
    // The minutes come from how far the hour hand has gone: ideas about the minute hand have nothing to say here.
    const hours = acts.read(gearedPose(atOf(item))).flatMap((typed) => (typed.minute === minute ? [typed] : []));
    return hours.length > 0 ? hours : [typedTime(atOf(item))];
  },
  judge,
  doing: () => ['read'],
  lookAt: (_item, settings) => TEXTS[tongueOf(settings)].lookAt,
  lookAgain(item, part, settings) {
    const { lookAt, hour } = TEXTS[tongueOf(settings)];
    const { whichHour, whichNumeral } = talkOf(settings);
    return part === 'minute' ? lookAt : `${hour} ${minuteOfHour(atOf(item)) === 0 ? whichNumeral : whichHour[settings.betweenRule]}`;
  },
  reason: (item, settings) => [talkOf(settings).oneHand.hour(atOf(item))],
  keySentence: about,
  make: (id, rng, rung) => ({ id, kind: 'hour-hand-alone', timeSec: timeOnRung(rung, rng) }),
  samples: [27_000, 45_900, 29_700, 21_600, 35_400, 40_200].map((timeSec, index) => ({
    id: `sample-${index}`,
    kind: 'hour-hand-alone' as const,
    timeSec,
  })),
});

/** Right where the time is about that, on either side of a full hour; the hour alone is right where the minutes are not. */
function judge(item: HourHandAloneItem, { hour, minute }: TimeAnswer): Judgement {
  const wantedMin = (atOf(item) % SECONDS_PER_HALF_DAY) / 60;
  const [typedHour, typedMinute] = [Number(hour || NaN), Number(minute || (hour ? 0 : NaN))];
  const isTime = typedHour <= 23 && typedMinute <= 59;
  const givenMin = isTime ? (onDial(typedHour) % 12) * 60 + typedMinute : NaN;
  const apart = Math.abs(givenMin - wantedMin);
  const isAbout = Math.min(apart, 720 - apart) <= ABOUT_MIN;
  const isHour = isAbout || (isTime && onDial(typedHour) % 12 === Math.floor(wantedMin / 60));
  const minutesApart = Math.abs(typedMinute - (wantedMin % 60));
  // Minutes that were not given are not right by themselves.
  const isMinute = isAbout || (isTime && minute !== '' && Math.min(minutesApart, 60 - minutesApart) <= ABOUT_MIN);
  const parts = [
    { part: 'hour', right: isHour },
    { part: 'minute', right: isMinute },
  ] as const;
  if (hour === '' && minute === '') return { verdict: 'blank', parts };
  return { verdict: isAbout ? 'right' : isHour || isMinute ? 'partly' : 'not-yet', parts };
}
