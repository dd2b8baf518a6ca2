import { nearestTime } from '../dial/nearest-time.js';
import { gearedPose, type Pose } from '../dial/pose.js';
import type { LessonSettings } from '../lesson/settings.js';
import { displayText24, minuteDigits } from '../time/display.js';
import { halfOfDay, type HalfOfDay } from '../time/occurrence.js';
import { SECONDS_PER_DAY, wrapSecondOfDay, type SecondOfDay } from '../time/second-of-day.js';
import { hearAgain } from '../words/hear-again.js';
import { WORD_PACKS } from '../words/registry.js';
import { say } from '../words/say.js';
import { typedTime, type TypedTime } from './typed-time.js';

/** Parts of a dial and of a display that have a name. */
export const CLOCK_PARTS = ['short-hand', 'long-hand', 'second-hand', 'numeral', 'tick', 'hours', 'colon', 'minutes'] as const;
export type ClockPart = (typeof CLOCK_PARTS)[number];

/** Right answers about units, by what is asked. */
export const UNITS = {
  'seconds-in-minute': 60,
  'minutes-in-hour': 60,
  'minutes-in-half-hour': 30,
  'minutes-in-quarter': 15,
  'minutes-in-three-quarters': 45,
  'hours-in-day': 24,
  'rounds-in-day': 2,
  'rounds-from-noon': 2,
} as const;
export type UnitQuestion = keyof typeof UNITS;
export const UNIT_QUESTIONS = Object.keys(UNITS) as UnitQuestion[];

/**
 * What a pupil does in their head while answering. A question kind calls the acts that its task takes; a misconception
 * distorts them: so each kind and each idea is written once, and none knows of the other. An act gives several results
 * where an idea leaves a choice, and none where it leads nowhere.
 */
export interface Acts {
  /** Reads a dial; what would be typed. */
  read(pose: Pose): readonly TypedTime[];
  /** Sets the hands to a time, each by itself. */
  set(at: SecondOfDay): readonly Pose[];
  /** Understands words; what would be typed for them. */
  mean(words: string): readonly TypedTime[];
  /** Writes a time that was found on a display; with the words it was given in, where it was. */
  digits(typed: TypedTime, words: string | null): readonly TypedTime[];
  /** Counts the minutes to the long hand, 0 to 59, without looking at the short one. */
  count(minuteDeg: number): readonly number[];
  /** Says a time in words, every right wording, best first. */
  word(at: SecondOfDay): readonly string[];
  /** The time some minutes later, or earlier when negative; what would be typed. */
  later(at: SecondOfDay, minutes: number): readonly TypedTime[];
  /** Minutes from one time on to another, 0 to 1439. */
  between(from: SecondOfDay, to: SecondOfDay): readonly number[];
  /** A time of 24 hours as a 12-hour display has it. */
  to12(at: SecondOfDay): readonly TypedTime[];
  /** A time as a 24-hour display has it. */
  to24(at: SecondOfDay): readonly TypedTime[];
  /** Which half of the day a time is in. */
  half(at: SecondOfDay): readonly HalfOfDay[];
  /** Where in the day a time is, in minutes: what is earlier has less. Only its order counts. */
  rank(at: SecondOfDay): number;
  /** The numeral that belongs at a place of the dial, by the numeral that stands there: 1 to 12. */
  numeral(place: number): readonly number[];
  /** What a part of a dial or a display is called, by what it is. */
  name(part: ClockPart): readonly ClockPart[];
  /** How many of one unit are in another. */
  unit(which: UnitQuestion): readonly number[];
}

export type ActId = keyof Acts;

/** The acts as they should be, in the words of the lesson's pack. */
export function rightActs(settings: LessonSettings): Acts {
  const pack = WORD_PACKS[settings.pack];
  return {
    read: (pose) => [typedTime(nearestTime(pose))],
    set: (at) => [gearedPose(at)],
    mean(words) {
      const heard = hearAgain(words, pack);
      // A slip of the digits stays one: "3:60" means what it says, which is no time.
      const isTime = heard.kind === 'time' && heard.misconception === null;
      return isTime ? [typedTime(wrapSecondOfDay(heard.minuteOfDay * 60))] : [];
    },
    digits: (typed) => [typed],
    count: (minuteDeg) => [Math.round(minuteDeg / 6) % 60],
    word: (at) => say(at, pack),
    later: (at, minutes) => [typedTime(wrapSecondOfDay(at + minutes * 60))],
    between: (from, to) => [Math.floor(((to - from + SECONDS_PER_DAY) % SECONDS_PER_DAY) / 60)],
    to12: (at) => [typedTime(at)],
    to24: (at) => [{ hour: displayText24(at).slice(0, 2), minute: minuteDigits(Math.floor(at / 60) % 60) }],
    half: (at) => [halfOfDay(at)],
    rank: (at) => at / 60,
    numeral: (place) => [place],
    name: (part) => [part],
    unit: (which) => [UNITS[which]],
  };
}
