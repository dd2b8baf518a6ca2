import type { ClassPlan, IsoDate } from '@zeitpunkt/core/series/plan';
import { daysOn, mondayOf, weekdayOf } from '@zeitpunkt/core/series/school-days';
import dayAtTheLight from './lessons/a-day-at-the-harbour-light.lesson.json';
import anyMinute from './lessons/any-minute-at-the-puffin-count.lesson.json';
import timetable from './lessons/the-ferrys-timetable.lesson.json';

/** What the Terns' days are like on their islands. */
const DAILY: ClassPlan['daily'] = [
  { atSec: 7 * 3600 + 45 * 60, text: 'the school ferry leaves' },
  { atSec: 9 * 3600 + 30 * 60, text: 'choir by video' },
  { atSec: 12 * 3600, text: 'bread from the bakery boat' },
  { atSec: 15 * 3600 + 15 * 60, text: 'the puffin count' },
  { atSec: 16 * 3600 + 40 * 60, text: 'the mail boat comes in' },
];

/** Lessons of the demo beside those that every teacher starts with: on other rungs, the last one with something to mend. */
export const DEMO_LESSONS: readonly unknown[] = [anyMinute, dayAtTheLight, timetable];

/**
 * One lesson a week, the first of them given already, with a card a day since the week before; some cards were missed.
 * @param lessonIds in the order in which they are taught
 * @param taughtOn the day of the first lesson
 */
export function demoPlan(lessonIds: readonly string[], taughtOn: IsoDate): ClassPlan {
  return {
    schoolDays: [1, 2, 3, 4, 5],
    daysOff: [daysOn(mondayOf(taughtOn), 18)], // a Friday two weeks on: the boats are painted
    series: { startsOn: taughtOn, weekdays: [weekdayOf(taughtOn)], lessonIds, skipped: [] },
    beside: [],
    times: ([1, 3, 5] as const).map((weekday) => ({ weekday, atSec: 34_800 })),
    cards: { pattern: { firstSec: 8 * 3600, stepsMin: [30, 30, 60] }, startsOn: daysOn(mondayOf(taughtOn), -7), shown: 3 },
    daily: DAILY,
  };
}
