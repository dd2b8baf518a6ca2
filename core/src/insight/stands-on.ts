import { RUNG_IDS, type RungId } from '../ladder/registry.js';
import type { PupilPicture } from './class-picture.js';

/**
 * The rungs on which a pupil has something to learn still, lowest first. Whoever is sure of a rung further up has what lies
 * below it *nearly*: that fades because it was not asked for long, not because it is not known. What is *not yet* there stays.
 */
export function openRungs({ mastery }: Pick<PupilPicture, 'mastery'>): readonly RungId[] {
  const highest = RUNG_IDS.findLastIndex((id) => mastery[id]?.word === 'sure');
  return RUNG_IDS.filter((id, place) => {
    const word = mastery[id]?.word;
    return word === 'not-yet' || (word === 'nearly' && place > highest);
  });
}
