import { CoreError } from '../errors.js';
import type { ClassPlan, IsoDate } from './plan.js';
import { isIsoDate } from './school-days.js';

/** Checks what a schema cannot: that every day is one of the calendar. @throws CoreError PLAN_UNREADABLE with the place */
export function checkPlan({ daysOff, series, beside, cards }: ClassPlan): void {
  const all: readonly (readonly [string, readonly IsoDate[]])[] = [
    ['/daysOff', daysOff],
    ['/series/startsOn', series ? [series.startsOn] : []],
    ['/series/skipped', series?.skipped ?? []],
    ['/beside', beside.map(({ date }) => date)],
    ['/cards/startsOn', cards ? [cards.startsOn] : []],
  ];
  for (const [place, dates] of all) {
    const wrong = dates.find((date) => !isIsoDate(date));
    if (wrong !== undefined)
      throw new CoreError('PLAN_UNREADABLE', `There is no day “${wrong}”, at ${place} of the plan.`, { wrong, place });
  }
}
