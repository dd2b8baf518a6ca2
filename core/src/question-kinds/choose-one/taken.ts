import type { Acts } from '../../acts/acts.js';
import { sameTyped, typedTime } from '../../acts/typed-time.js';
import type { LessonSettings } from '../../lesson/settings.js';
import { toSecondOfDay } from '../../time/second-of-day.js';
import { asChoice, isTakenFor, seenAs, targetsOf, written } from '../seen-as.js';
import type { ChooseOneItem } from './choose-one.js';

/**
 * Places of the choices that somebody who does the acts so takes, each for itself. Digits are looked for as they were read,
 * also those that are no time; dials and words by what they are taken for.
 */
export function taken(
  { timeSec, from, choices }: Pick<ChooseOneItem, 'timeSec' | 'from' | 'choices'>,
  acts: Acts,
  settings: LessonSettings,
): number[] {
  const at = toSecondOfDay(timeSec);
  const shown = from === 'display' ? [typedTime(at)] : seenAs(asChoice(at, from, settings), acts);
  const targets = targetsOf(at, from, acts, settings);
  return choices.flatMap((choice, place) => {
    const isDigits = 'text' in choice && /^\d/.test(choice.text);
    const isTaken = isDigits
      ? seenAs(choice, acts).some((typed) => written(shown, acts).some((one) => sameTyped(one, typed)))
      : targets.some((target) => isTakenFor(choice, target, acts));
    return isTaken ? [place] : [];
  });
}
