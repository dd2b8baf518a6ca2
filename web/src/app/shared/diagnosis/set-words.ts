import type { DesignedSet } from '@zeitpunkt/core/diagnosis/design-set';
import { misconceptionOf, type MisconceptionId } from '@zeitpunkt/core/misconceptions/registry';

const nameOf = (id: MisconceptionId) => misconceptionOf(id).name;
/** With fewer chances nothing can be said of an idea. */
const ENOUGH = 3;
const SOME = 1;

/** What a set can tell and what it leaves out, in sentences. */
export function setWords({ bits, ofBits, chances, alike }: DesignedSet): readonly string[] {
  const enough = chances.filter(({ count }) => count >= ENOUGH);
  const few = chances.filter(({ count }) => count >= SOME && count < ENOUGH);
  const none = chances.filter(({ count }) => count < SOME);
  const part = ofBits > 0 ? bits / ofBits : 1;
  const sentences = [
    part > 0.85
      ? 'It tells these ideas well apart.'
      : part > 0.6
        ? 'It tells most of these ideas apart.'
        : 'It tells little: more questions would help.',
    enough.length > 0 && `Shown often enough to be sure: ${enough.map(({ id, count }) => `${nameOf(id)} (${count} chances)`).join(', ')}.`,
    few.length > 0 && `Shown, but too seldom to be sure: ${few.map(({ id, count }) => `${nameOf(id)} (${count})`).join(', ')}.`,
    none.length > 0 && `Left out: ${none.map(({ id }) => nameOf(id)).join(', ')}.`,
    ...alike.map(([one, other]) => `${nameOf(one)} and ${nameOf(other).toLowerCase()} answer alike here.`),
  ];
  return sentences.filter((one): one is string => typeof one === 'string');
}
