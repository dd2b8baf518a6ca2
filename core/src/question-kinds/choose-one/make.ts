import { CoreError } from '../../errors.js';
import { sameTyped, timeTyped, typedTime } from '../../acts/typed-time.js';
import { gearedPose } from '../../dial/pose.js';
import { rungsToTry, timeOnRung, type RungTimes } from '../../ladder/rung-times.js';
import type { LessonSettings } from '../../lesson/settings.js';
import { actsOf } from '../../misconceptions/distorted-acts.js';
import { MISCONCEPTION_IDS } from '../../misconceptions/registry.js';
import type { Rng } from '../../random/rng.js';
import { reportPose } from '../../dial/possible.js';
import type { SecondOfDay } from '../../time/second-of-day.js';
import { asChoice, seenAs, targetsOf, tellApart, written, type Given } from '../seen-as.js';
import type { Choice } from '../shapes/choices.js';
import { shuffled } from '../slips.js';
import type { ChooseOneItem } from './item.js';
import { taken } from './taken.js';

/** With the right one, four choices are what a child of six can compare. */
const MOST_DISTRACTORS = 3;
const WAYS = [
  ['dial', 'display'],
  ['dial', 'words'],
  ['display', 'dial'],
  ['words', 'dial'],
  ['words', 'display'],
  ['display', 'words'],
] as const satisfies readonly (readonly [Given, Given])[];

/**
 * A new item: one right choice, and what ideas take the shown time for. Where fewer of them make a difference, there are
 * fewer choices; a time at which none does is not asked so.
 */
export function makeChooseOne(id: string, rng: Rng, wanted: RungTimes, settings: LessonSettings): ChooseOneItem {
  for (const rung of rungsToTry(wanted)) {
    const at = timeOnRung(rung, rng);
    const [from, to] = WAYS[Math.floor(rng() * WAYS.length)]!;
    const wrong: Choice[] = [];
    const right = asChoice(at, to, settings);
    for (const idea of shuffled(MISCONCEPTION_IDS, rng)) {
      // Enough of them: what the other ideas would take need not be found out.
      if (tellApart([right], wrong, MOST_DISTRACTORS).length === MOST_DISTRACTORS) break;
      for (const choice of mistakenFor(at, from, to, idea, settings)) {
        // Whoever holds the idea must take it in the end: words are understood by them in their own way, too.
        const isTaken = taken({ timeSec: at, from, choices: [choice] }, actsOf([idea], settings), settings).length > 0;
        if (isTaken) wrong.push(choice);
      }
    }
    const choices = [right, ...tellApart([right], wrong, MOST_DISTRACTORS)];
    if (choices.length > 1) return { id, kind: 'choose-one', timeSec: at, from, choices: shuffled(choices, rng) };
  }
  throw new CoreError('ITEM_NOT_MADE', 'No such question could be made on this rung.');
}

/** What somebody with one idea would look for among the choices; the right time is left out. */
function mistakenFor(
  at: SecondOfDay,
  from: Given,
  to: Given,
  idea: (typeof MISCONCEPTION_IDS)[number],
  settings: LessonSettings,
): Choice[] {
  const acts = actsOf([idea], settings);
  const right = typedTime(at);
  if (to === 'dial') {
    const poses = targetsOf(at, from, acts, settings).flatMap((time) => acts.set(time));
    const wrong = poses.filter(
      (pose) =>
        !reportPose(pose).possible ||
        !actsOf([], settings)
          .read(pose)
          .some((typed) => sameTyped(typed, right)),
    );
    return wrong.slice(0, 1).map((pose) => ({ ...pose, numerals: 'all' }));
  }
  const typed =
    from === 'display' ? [] : seenAs(from === 'dial' ? { ...gearedPose(at), numerals: 'all' } : asChoice(at, from, settings), acts);
  const wrong = (to === 'display' ? written(typed, acts) : typed).filter((one) => !sameTyped(one, right));
  if (to === 'display') return wrong.slice(0, 1).map(({ hour, minute }) => ({ text: `${hour}${settings.separator}${minute}` }));
  // In words only what is a time can be said; from digits they say it with the words that they have for it.
  const said = from === 'display' ? acts.word(at).slice(0, 1) : wrong.flatMap((one) => wordsOfTyped(timeTyped(one), settings)).slice(0, 1);
  return said
    .filter(
      (words) =>
        !actsOf([], settings)
          .mean(words)
          .some((one) => sameTyped(one, right)),
    )
    .map((text) => ({ text }));
}

function wordsOfTyped(time: SecondOfDay | null, settings: LessonSettings): string[] {
  return time === null ? [] : actsOf([], settings).word(time).slice(0, 1);
}
