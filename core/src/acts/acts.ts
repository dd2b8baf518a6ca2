import { nearestTime } from '../dial/nearest-time.js';
import { gearedPose, type Pose } from '../dial/pose.js';
import type { LessonSettings } from '../lesson/settings.js';
import { displayText24, minuteDigits } from '../time/display.js';
import { SECONDS_PER_DAY, wrapSecondOfDay, type SecondOfDay } from '../time/second-of-day.js';
import { hear } from '../words/hear.js';
import { WORD_PACKS } from '../words/registry.js';
import { say } from '../words/say.js';
import { typedTime, type TypedTime } from './typed-time.js';

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
}

export type ActId = keyof Acts;

/** The acts as they should be, in the words of the lesson's pack. */
export function rightActs(settings: LessonSettings): Acts {
  const pack = WORD_PACKS[settings.pack];
  return {
    read: (pose) => [typedTime(nearestTime(pose))],
    set: (at) => [gearedPose(at)],
    mean(words) {
      const heard = hear(words, pack);
      if (heard.kind === 'unreadable') return [];
      // A slip of the digits stays one: "3:60" means what it says.
      if (heard.misconception !== null) return [];
      return [typedTime(wrapSecondOfDay(heard.minuteOfDay * 60))];
    },
    word: (at) => say(at, pack),
    later: (at, minutes) => [typedTime(wrapSecondOfDay(at + minutes * 60))],
    between: (from, to) => [Math.floor(((to - from + SECONDS_PER_DAY) % SECONDS_PER_DAY) / 60)],
    to12: (at) => [typedTime(at)],
    to24: (at) => [{ hour: displayText24(at).slice(0, 2), minute: minuteDigits(Math.floor(at / 60) % 60) }],
  };
}
