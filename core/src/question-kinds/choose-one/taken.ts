import type { Acts } from '../../acts/acts.js';
import { sameTyped, typedTime } from '../../acts/typed-time.js';
import type { LessonSettings } from '../../lesson/settings.js';
import { toSecondOfDay, type SecondOfDay } from '../../time/second-of-day.js';
import { asChoice, degreesApart, isTakenFor, seenAs, targetsOf, written } from '../seen-as.js';
import { inOrder, type Choice } from '../shapes/choices.js';
import type { ChooseOneItem } from './item.js';

/**
 * Places of the choices that somebody who does the acts so takes, each for itself. Digits are looked for as they were read,
 * also those that are no time; dials and words by what they are taken for. Of dials that lie closer together than today's are
 * made, in lessons of before, the one is taken that comes nearest.
 */
export function taken(
  { timeSec, from, choices }: Pick<ChooseOneItem, 'timeSec' | 'from' | 'choices'>,
  acts: Acts,
  settings: LessonSettings,
): number[] {
  const at = toSecondOfDay(timeSec);
  const shown = from === 'display' ? [typedTime(at)] : seenAs(asChoice(at, from, settings), acts);
  const onDisplay = written(shown, acts);
  const digits = choices.flatMap((choice, place) => {
    const isDigits = 'text' in choice && /^\d/.test(choice.text);
    return isDigits && seenAs(choice, acts).some((typed) => onDisplay.some((one) => sameTyped(one, typed))) ? [place] : [];
  });
  const others = targetsOf(at, from, acts, settings).flatMap((target) => takenFor(target, choices, acts));
  return inOrder([...new Set([...digits, ...others])]);
}

/** Places of the dials and words that are taken for a time; of several dials those that come nearest to how it would be set. */
function takenFor(target: SecondOfDay, choices: readonly Choice[], acts: Acts): number[] {
  const places = choices.flatMap((choice, place) =>
    !('text' in choice && /^\d/.test(choice.text)) && isTakenFor(choice, target, acts) ? [place] : [],
  );
  const off = (place: number): number => {
    const choice = choices[place]!;
    return 'text' in choice ? 0 : Math.min(...acts.set(target).map((pose) => degreesApart(pose, choice)));
  };
  const nearest = Math.min(...places.map(off));
  return places.filter((place) => off(place) < nearest + 0.01);
}
