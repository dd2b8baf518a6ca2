import { RUNG_IDS, type RungId } from '../ladder/registry.js';
import type { PupilPicture } from './class-picture.js';
import { MS_PER_DAY } from '../time/spans.js';

/** What was asked so long before a rung further up is taken for learnt since, once that is sure. */
const SINCE_DAYS = 10;

/**
 * The rungs on which a pupil has something to learn still, lowest first. Whoever is sure of a rung further up has what lies
 * below it *nearly* only because it was not asked for long; and what was *not yet* there weeks before has been learnt since.
 * An idea that stands in the way still is found by its own answers, not here.
 */
export function openRungs({ mastery }: Pick<PupilPicture, 'mastery'>): readonly RungId[] {
  const highest = RUNG_IDS.findLastIndex((id) => mastery[id]?.word === 'sure');
  const sureMs = mastery[RUNG_IDS[highest]!]?.lastMs ?? 0;
  return RUNG_IDS.filter((id, place) => {
    const known = mastery[id];
    if (!known || known.word === 'sure' || known.word === 'too-few') return false;
    return place > highest || (known.word === 'not-yet' && known.lastMs! > sureMs - SINCE_DAYS * MS_PER_DAY);
  });
}
