import type { Acts } from '../../acts/acts.js';
import { gearedPose } from '../../dial/pose.js';
import { timeOnRung, type RungTimes } from '../../ladder/rung-times.js';
import type { LessonSettings } from '../../lesson/settings.js';
import { talkOf, tongueOf } from '../../talk/registry.js';
import { actsOf } from '../../misconceptions/distorted-acts.js';
import { MISCONCEPTION_IDS } from '../../misconceptions/registry.js';
import type { Rng } from '../../random/rng.js';
import { PLAIN_LAYERS, type DialLayers } from '../../scene/dial-state.js';
import { displayText } from '../../time/display.js';
import { minuteOfHour, secondOfDay, toSecondOfDay, type SecondOfDay } from '../../time/second-of-day.js';
import { choiceKind } from '../choice-kind.js';
import { dialPicture } from '../picture.js';
import type { ItemBase } from '../question-kind.js';
import { lettersOf } from '../shapes/choices.js';
import { shuffled } from '../slips.js';
import { TEXTS } from './texts.js';

/** Only the minute hand is seen; the pupil takes every time that it can be. */
export interface MinuteHandAloneItem extends ItemBase {
  readonly kind: 'minute-hand-alone';
  /** Where the minute hand stands: minutes past the hour, 0 to 59. */
  readonly minute: number;
  /** Three to six times in seconds since midnight, in the order they stand; two at least have these minutes. */
  readonly times: readonly number[];
}

const MINUTE_HAND_ONLY: DialLayers = { ...PLAIN_LAYERS, hourHand: false };

export const minuteHandAlone = choiceKind<'minute-hand-alone', MinuteHandAloneItem>({
  kind: 'minute-hand-alone',
  name: 'Minute hand alone',
  thinkSec: 30,
  several: true,
  timesOf: (item) => item.times.map(toSecondOfDay).filter((at) => minuteOfHour(at) === item.minute),
  stem: (_item, settings) => TEXTS[tongueOf(settings)].stem,
  picture: (item) => dialPicture(gearedPose(secondOfDay(0, item.minute)), MINUTE_HAND_ONLY),
  choices: (item, { separator }) => item.times.map((sec) => ({ text: displayText(toSecondOfDay(sec), separator) })),
  taken: (item, acts) =>
    minutesRead(item.minute, acts).map((minute) =>
      item.times.flatMap((sec, place) => (minuteOfHour(toSecondOfDay(sec)) === minute ? [place] : [])),
    ),
  doing: () => ['count'],
  lookAt: (_item, settings) => TEXTS[tongueOf(settings)].lookAt,
  reason(item, settings, key) {
    const and = tongueOf(settings) === 'de' ? 'und' : 'and';
    return [TEXTS[tongueOf(settings)].can(lettersOf(key, and)), talkOf(settings).oneHand.minute(secondOfDay(0, item.minute))];
  },
  make,
  samples: [
    { id: 'sample-quarter', kind: 'minute-hand-alone', minute: 45, times: [9900, 33_300, 25_740, 20_700, 24_900] },
    { id: 'sample-ten', kind: 'minute-hand-alone', minute: 10, times: [600, 25_800, 25_320, 7200] },
    { id: 'sample-full', kind: 'minute-hand-alone', minute: 0, times: [3600, 25_200, 27_000] },
    { id: 'sample-twenty', kind: 'minute-hand-alone', minute: 20, times: [4800, 33_600, 34_800, 26_700, 30_540] },
  ],
});

const minutesRead = (minute: number, acts: Acts): readonly number[] => [...new Set(acts.count(minute * 6))];

/** Times with these minutes, and with those that ideas read from the long hand; all hours different. */
function make(id: string, rng: Rng, rung: RungTimes, settings: LessonSettings): MinuteHandAloneItem {
  const minute = minuteOfHour(timeOnRung(rung, rng));
  const wrong = shuffled(MISCONCEPTION_IDS, rng).flatMap((idea) => minutesRead(minute, actsOf([idea], settings)));
  const others = [...new Set(wrong)].filter((one) => one !== minute && one < 60).slice(0, 2);
  const minutes = [minute, minute, minute, ...others];
  const hours = shuffled([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12], rng);
  const times = minutes.map((one, place): SecondOfDay => secondOfDay(hours[place]! % 12, one));
  return { id, kind: 'minute-hand-alone', minute, times: shuffled(times, rng) };
}
