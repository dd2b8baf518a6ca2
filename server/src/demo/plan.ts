import {
  daysOn,
  draftLesson,
  DEFAULT_SETTINGS,
  mondayOf,
  weekdayOf,
  type ClassPlan,
  type IsoDate,
  type Lesson,
  type RungId,
} from '@zeitpunkt/core';

/** What the Terns' days are like on their islands. */
const DAILY: ClassPlan['daily'] = [
  { atSec: 7 * 3600 + 45 * 60, text: 'the school ferry leaves' },
  { atSec: 9 * 3600 + 30 * 60, text: 'choir by video' },
  { atSec: 12 * 3600, text: 'bread from the bakery boat' },
  { atSec: 15 * 3600 + 15 * 60, text: 'the puffin count' },
  { atSec: 16 * 3600 + 40 * 60, text: 'the mail boat comes in' },
];

const drafted = (rung: RungId, minutes: number, seed: number, title: string): Lesson => ({
  ...draftLesson({ rung, minutes, delivery: 'live', settings: DEFAULT_SETTINGS, seed, daily: DAILY }),
  title,
});

/** Lessons of the demo beside those that every teacher starts with: on other rungs, and one that has something to mend. */
export function demoLessons(): readonly Lesson[] {
  return [
    drafted('any-minute', 20, 12, 'Any minute at the puffin count'),
    drafted('day-line', 15, 13, 'A day at the harbour light'),
    withFaults(drafted('hours-24', 15, 14, 'The ferry’s timetable, not finished')),
  ];
}

/** A lesson as it may lie there half done: a rule of thumb that is false, hardly time to think, no check at the end. */
function withFaults(lesson: Lesson): Lesson {
  const lastAsk = lesson.beats.findLastIndex(({ kind }) => kind === 'ask');
  const kept = lesson.beats.slice(0, lastAsk);
  return {
    ...lesson,
    items: lesson.items.filter(({ id }) => kept.some((beat) => 'itemId' in beat && beat.itemId === id)),
    beats: [
      ...kept.map((beat) => (beat.kind === 'think' ? { ...beat, seconds: 3 } : beat)),
      { id: 'thumb', kind: 'say', text: 'Remember: the hour is always the numeral that the short hand is nearest to.' },
    ],
  };
}

/**
 * One lesson a week for six weeks, the first of them given already, with a card a day; two cards were missed.
 * @param lessonIds in the order in which they are taught
 * @param taughtOn the day of the first lesson
 */
export function demoPlan(lessonIds: readonly string[], taughtOn: IsoDate): ClassPlan {
  return {
    schoolDays: [1, 2, 3, 4, 5],
    daysOff: [daysOn(mondayOf(taughtOn), 18)], // a Friday two weeks on: the boats are painted
    series: { startsOn: taughtOn, weekdays: [weekdayOf(taughtOn)], lessonIds, skipped: [] },
    cards: { pattern: { firstSec: 8 * 3600, stepsMin: [30, 30, 60] }, startsOn: mondayOf(taughtOn), shown: 3 },
    daily: DAILY,
  };
}
