import { RUNGS, type RungId } from '@zeitpunkt/core/ladder/registry';
import { secondOfDay } from '@zeitpunkt/core/time/second-of-day';

/** A time that shows what a rung is about: one that misleads on purpose, or else a plain one. */
export function exampleOf(id: RungId): number {
  const { tricky, newMinutes, minutes } = RUNGS[id];
  const [first] = tricky;
  return first ? secondOfDay(first.hour % 12, first.minute) : secondOfDay(8, newMinutes[0] ?? minutes[0] ?? 0);
}
