import { kindOf, type Item } from '../question-kinds/registry.js';
import { hour24, minuteOfHour } from '../time/second-of-day.js';
import { RUNGS, type RungId } from './registry.js';
import type { Rung } from './rung.js';

/** Minutes that come with a rung: those that the rung before does not have; all of them on the first. */
function newOn(rung: Rung): ReadonlySet<number> {
  const before: readonly number[] = rung.after === null ? [] : RUNGS[rung.after as RungId].minutes;
  return new Set(rung.minutes.filter((minute) => !before.includes(minute)));
}

/** Units that a lesson about the day, and one about seconds, is about. */
const UNITS_OF_THE_DAY: ReadonlySet<string> = new Set(['hours-in-day', 'rounds-in-day', 'rounds-from-noon']);

const isBeyondTwelve = (item: Item): boolean => kindOf(item).timesOf(item).some((at) => hour24(at) === 0 || hour24(at) >= 12); // prettier-ignore

/** Whether a question asks what a rung is about, and not only what was known before. */
export function isAboutGoal(id: RungId, item: Item): boolean {
  const rung: Rung = RUNGS[id];
  if (!rung.goalKinds) {
    const wanted = newOn(rung);
    if (item.kind === 'ring-minutes') return item.numerals.some((numeral) => wanted.has((numeral % 12) * 5));
    return kindOf(item)
      .timesOf(item)
      .some((at) => wanted.has(minuteOfHour(at)));
  }
  if (item.kind === 'units')
    return id === 'seconds' ? item.asks === 'seconds-in-minute' : UNITS_OF_THE_DAY.has(item.asks) && id !== 'durations';
  if (!rung.goalKinds.includes(item.kind)) return false;
  // Before noon a 24-hour clock shows nothing new.
  if (id === 'hours-24' && item.kind !== 'sensible-time' && !isBeyondTwelve(item)) return false;
  switch (item.kind) {
    case 'read-dial':
      return item.as === 'of-24';
    case 'set-dial':
      return item.from === 'display-24';
    case 'sensible-time':
      return id === 'day-line' || item.as === 'of-24';
    case 'place-on-line':
      return item.line === 'day';
    case 'label-parts':
      return item.parts.includes('second-hand');
    default:
      return true;
  }
}
