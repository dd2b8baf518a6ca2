import type { Acts } from '../acts/acts.js';
import { sameTyped, timeTyped, typedTime, type TypedTime } from '../acts/typed-time.js';
import { gearedPose, turnDeg, type Pose } from '../dial/pose.js';
import { coherenceOf } from '../dial/coherence.js';
import { reportPose } from '../dial/possible.js';
import type { LessonSettings } from '../lesson/settings.js';
import { displayText } from '../time/display.js';
import { toSecondOfDay, wrapSecondOfDay, type SecondOfDay } from '../time/second-of-day.js';
import { WORD_PACKS } from '../words/registry.js';
import { bestWording } from '../words/say.js';
import { NO_PICTURE, dialPicture, type Picture } from './picture.js';
import { PLAIN_LAYERS } from '../scene/dial-state.js';
import type { Choice } from './shapes/choices.js';

/** How a time is given: on a dial, on a display, in words. */
export type Given = 'dial' | 'display' | 'words';

/** A time as it is given, as one choice. */
export function asChoice(at: SecondOfDay, given: Given, { pack, separator }: LessonSettings): Choice {
  if (given === 'dial') return { ...gearedPose(at), numerals: 'all' };
  return { text: given === 'display' ? displayText(at, separator) : bestWording(at, WORD_PACKS[pack]) };
}

/** A time as it is given, beside a stem. */
export function asPicture(at: SecondOfDay, given: Given, settings: LessonSettings): Picture {
  const choice = asChoice(at, given, settings);
  return 'text' in choice ? { ...NO_PICTURE, lines: [choice.text] } : dialPicture(gearedPose(at), PLAIN_LAYERS);
}

/** The digits that somebody who does the acts so takes a choice for; several where an idea leaves a choice. */
export function seenAs(choice: Choice, acts: Acts): readonly TypedTime[] {
  if (!('text' in choice)) return acts.read(choice);
  const digits = /^(\d{1,2})[:.](\d{1,2})$/.exec(choice.text);
  return digits ? [{ hour: digits[1]!, minute: digits[2]! }] : acts.mean(choice.text);
}

/** What was found as it is written on a display, by somebody who does the acts so. */
export const written = (found: readonly TypedTime[], acts: Acts, words: string | null = null): readonly TypedTime[] =>
  found.flatMap((typed) => acts.digits(typed, words));

/** The same as a time on the dial, between midnight and noon; digits that are no time are left out. */
export function timesSeen(choice: Choice, acts: Acts): SecondOfDay[] {
  return seenAs(choice, acts)
    .map(timeTyped)
    .filter((time) => time !== null);
}

/** The times that a pupil takes for the one that is given. */
export function targetsOf(at: SecondOfDay, given: Given, acts: Acts, settings: LessonSettings): SecondOfDay[] {
  return given === 'display' ? [at] : timesSeen(asChoice(at, given, settings), acts);
}

/** Whether somebody who does the acts so takes a choice for a time: they read it so, or would have set it so. */
export function isTakenFor(choice: Choice, target: SecondOfDay, acts: Acts): boolean {
  const wanted = typedTime(target);
  if ('text' in choice) return seenAs(choice, acts).some((typed) => sameTyped(typed, wanted));
  // What can be a time is read; what can be none is taken by whoever would have set it so.
  if (reportPose(choice).possible) return acts.read(choice).some((typed) => sameTyped(typed, wanted));
  return acts.set(target).some((pose) => isNear(pose, choice));
}

/** Whether hands look right to somebody who does the acts so: they would have set some time like this. */
export function looksPossible(pose: Pose, acts: Acts): boolean {
  const minutes = new Set([Math.round(pose.minuteDeg / 6) % 60, Math.round(coherenceOf(pose).minute) % 60]);
  for (let hour = 0; hour < 12; hour++) {
    for (const minute of minutes) {
      if (acts.set(wrapSecondOfDay(hour * 3600 + minute * 60)).some((set) => isNear(set, pose))) return true;
    }
  }
  return false;
}

/** Degrees that a hand may be off the place where an idea would have it. */
const NEAR_DEG = 3;

const isNear = (a: Pose, b: Pose): boolean => degreesApart(a, b) <= NEAR_DEG;

/** Degrees between two poses: of the hand that differs more, by the shorter way. */
export function degreesApart(a: Pose, b: Pose): number {
  return Math.max(Math.abs(turnDeg(a.hourDeg, b.hourDeg)), Math.abs(turnDeg(a.minuteDeg, b.minuteDeg)));
}

/**
 * Degrees by which one hand at least differs between two dials of a question: more than any tolerance under which a dial
 * counts as right, and a difference that a child sees. A tick of the minute hand is as much.
 */
export const APART_DEG = 6;

/**
 * The first choices that can all be told from each other and from those that are there: dials by {@link APART_DEG}, texts by
 * what they say.
 */
export function tellApart(there: readonly Choice[], more: readonly Choice[], most: number): Choice[] {
  const chosen: Choice[] = [];
  for (const choice of more) {
    if (chosen.length >= most) break;
    if ([...there, ...chosen].every((other) => areApart(choice, other))) chosen.push(choice);
  }
  return chosen;
}

function areApart(one: Choice, other: Choice): boolean {
  if ('text' in one || 'text' in other) return !('text' in one && 'text' in other && one.text === other.text);
  // Angles that were computed differ in their last digit.
  return degreesApart(one, other) > APART_DEG - 0.01;
}

/** The same moment in the half of the day of another, as far as a dial can tell. */
export const inHalfOf = (onDial: SecondOfDay, like: number): SecondOfDay => toSecondOfDay((onDial % 43_200) + (like < 43_200 ? 0 : 43_200));
