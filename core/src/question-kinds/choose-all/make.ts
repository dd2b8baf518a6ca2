import { CoreError } from '../../errors.js';
import { sameTyped, timeTyped, typedTime } from '../../acts/typed-time.js';
import { gearedPose, type Pose } from '../../dial/pose.js';
import { rungsToTry, timeOnRung, type RungTimes } from '../../ladder/rung-times.js';
import type { LessonSettings } from '../../lesson/settings.js';
import { actsOf } from '../../misconceptions/distorted-acts.js';
import { MISCONCEPTION_IDS } from '../../misconceptions/registry.js';
import type { Rng } from '../../random/rng.js';
import { displayText } from '../../time/display.js';
import type { SecondOfDay } from '../../time/second-of-day.js';
import { WORD_PACKS } from '../../words/registry.js';
import { bestWording, say } from '../../words/say.js';
import { dialsReadAs } from '../read-as.js';
import { APART_DEG, degreesApart, isTakenFor, targetsOf, tellApart } from '../seen-as.js';
import { oneOf, shuffled } from '../slips.js';
import type { Choice } from '../shapes/choices.js';
import type { ChooseAllItem } from './item.js';

/** Distractors at the most: with the right ones, six choices fit a small screen. */
const MOST_DISTRACTORS = 3;

/**
 * A new item. Each distractor is what one misconception would take for the time asked for; where fewer of them make a
 * difference the item has fewer choices.
 */
export function makeChooseAll(id: string, rng: Rng, wanted: RungTimes, settings: LessonSettings): ChooseAllItem {
  for (const rung of rungsToTry(wanted)) {
    const at = timeOnRung(rung, rng);
    const from = oneOf(['words', 'display', 'dial'], rng);
    const choices = from === 'dial' ? texts(at, rng, settings) : dials(at, from, rng, rung, settings);
    // A time at which no idea makes a difference has nothing to choose from: take another one.
    if (choices.length > 2) return { id, kind: 'choose-all', timeSec: at, from, choices: shuffled(choices, rng) };
  }
  throw new CoreError('ITEM_NOT_MADE', 'No such question could be made on this rung.');
}

/** The time as a display and in each wording, and what ideas would read from the dial instead. */
function texts(at: SecondOfDay, rng: Rng, settings: LessonSettings): Choice[] {
  const { separator } = settings;
  const right = [displayText(at, separator), ...say(at, WORD_PACKS[settings.pack]).slice(0, 2)];
  const misread = shuffled(MISCONCEPTION_IDS, rng).flatMap((idea) => actsOf([idea], settings).read(gearedPose(at)).slice(0, 1));
  const wrong = misread.filter((typed) => timeTyped(typed) !== null && typed.minute.length === 2 && !sameTyped(typed, typedTime(at)));
  const distractors = new Set(wrong.map(({ hour, minute }) => `${hour}${separator}${minute}`));
  return [...right, ...[...distractors].slice(0, MOST_DISTRACTORS)].map((text) => ({ text }));
}

/** The time on a clock with all numerals and on one with few, and dials that ideas would take for it. */
function dials(at: SecondOfDay, from: 'words' | 'display', rng: Rng, rung: RungTimes, settings: LessonSettings): Choice[] {
  const right = gearedPose(at);
  const shown: Choice[] = [
    { ...right, numerals: 'all' },
    { ...right, numerals: 'quarters' },
  ];
  const distractors: Choice[] = [];
  for (const idea of shuffled(MISCONCEPTION_IDS, rng)) {
    if (tellApart(shown, distractors, MOST_DISTRACTORS).length === MOST_DISTRACTORS) break;
    const pose = takenFor(at, from, idea, rung, settings);
    if (pose && isTaken(pose, at, from, idea, settings)) distractors.push({ ...pose, numerals: 'all' });
  }
  return [...shown, ...tellApart(shown, distractors, MOST_DISTRACTORS)];
}

/** Whether somebody with an idea takes a dial in the end for what they understand of the time that is asked for. */
function isTaken(
  pose: Pose,
  at: SecondOfDay,
  from: 'words' | 'display',
  idea: (typeof MISCONCEPTION_IDS)[number],
  settings: LessonSettings,
): boolean {
  const acts = actsOf([idea], settings);
  return targetsOf(at, from, acts, settings).some((target) => isTakenFor({ ...pose, numerals: 'all' }, target, acts));
}

/** A dial that somebody with an idea takes for a time: as they would set it, or another time of the rung that they read so. */
function takenFor(
  at: SecondOfDay,
  from: 'words' | 'display',
  idea: (typeof MISCONCEPTION_IDS)[number],
  rung: RungTimes,
  settings: LessonSettings,
): Pose | null {
  const acts = actsOf([idea], settings);
  const right = gearedPose(at);
  const isOther = (pose: Pose) => degreesApart(pose, right) >= APART_DEG - 0.01;
  const meant = from === 'words' ? acts.mean(bestWording(at, WORD_PACKS[settings.pack])).map(timeTyped) : [at];
  const set = meant.flatMap((time) => (time === null ? [] : acts.set(time))).find(isOther);
  if (set) return set;
  const other = dialsReadAs(typedTime(at), idea, rung.minutes, settings).map(gearedPose).find(isOther);
  return other ?? null;
}
