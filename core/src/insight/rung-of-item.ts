import { RUNGS, rungIdOf, type RungId } from '../ladder/registry.js';
import { kindOf, type Item } from '../question-kinds/registry.js';

/**
 * The rung that an item counts for: that of its lesson where times cannot tell it, or the item has none; else the lowest one
 * on which its times stand. A recalled whole hour in a lesson about quarters counts for whole hours.
 */
export function rungOfItem(item: Item, { rung }: { readonly rung?: RungId | null }): RungId {
  const times = kindOf(item).timesOf(item);
  if (rung && (!RUNGS[rung].byMinutes || times.length === 0)) return rung;
  return times.length === 0 ? 'whole-hours' : rungIdOf(times);
}
