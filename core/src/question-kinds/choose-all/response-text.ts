import { dialLetter } from '../../scene/describe-stage.js';
import type { ChooseAllResponse } from './choose-all.js';

/** "A, B and D". @param and the word before the last one */
export function lettersOf(places: readonly number[], and = 'and'): string {
  const letters = places.map(dialLetter);
  return letters.length > 1 ? `${letters.slice(0, -1).join(', ')} ${and} ${letters.at(-1)}` : (letters[0] ?? 'none');
}

/** The letters of the choices taken. */
export function chooseAllText({ chosen }: Pick<ChooseAllResponse, 'chosen'>): string {
  return chosen.length === 0 ? 'blank' : lettersOf(chosen);
}
