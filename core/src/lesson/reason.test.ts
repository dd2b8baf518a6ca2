import { describeHand } from '../dial/describe-pose.js';
import { hourProgress } from '../dial/hour-progress.js';
import { hourHandDeg } from '../dial/pose.js';
import { hour12, minuteOfHour, nextHour12, secondOfDay, toSecondOfDay } from '../time/second-of-day.js';
import { explain } from './explain.js';
import { hourReason, minuteReason, reasonFor } from './reason.js';
import { DEFAULT_SETTINGS, type LessonSettings } from './settings.js';

const SCHOOLS: readonly LessonSettings[] = (['passed', 'step-back', 'zone'] as const).flatMap((betweenRule) =>
  (['hour-first', 'minute-first'] as const).map((readingOrder) => ({ ...DEFAULT_SETTINGS, betweenRule, readingOrder })),
);
const EVERY_MINUTE = Array.from({ length: 720 }, (_, minute) => toSecondOfDay(minute * 60));

test.each([
  [7, 0, 'The short hand points at 7: the hour is 7.'],
  [7, 1, 'The short hand is just past 7: the hour is 7.'],
  [7, 30, 'The short hand has passed 7 and not reached 8 yet: the hour is 7.'],
  [11, 59, 'The short hand is almost at 12, but not there yet: the hour is still 11.'],
  [12, 58, 'The short hand is almost at 1, but not there yet: the hour is still 12. After 12 the hours begin again at 1.'],
])('the hour at %i:%i', (hour, minute, sentence) => {
  expect(hourReason(secondOfDay(hour, minute), DEFAULT_SETTINGS)).toBe(sentence);
});

test.each([
  [1, 'The long hand is one tick past the 12: 1 minute.'],
  [3, 'Tick by tick from the 12: 1, 2, 3 minutes.'],
  [5, 'From the 12 to the 1: 5 minutes.'],
  [15, 'In fives from the 12: 5, 10, 15 minutes, a quarter of the way round.'],
  [21, 'In fives from the 12: 5, 10, 15, 20, and 21 minutes.'],
  [30, 'In fives from the 12: 5, 10, 15 … 30 minutes, half way round.'],
  [59, 'In fives from the 12: 5, 10, 15 … 55, and 56, 57, 58, 59 minutes.'],
])('%i minutes are counted as a class counts them', (minute, sentence) => {
  expect(minuteReason(secondOfDay(7, minute))).toBe(sentence);
});

test('no sentence has the short hand at a numeral but at the full hour, nor half way but at half past', () => {
  for (const at of EVERY_MINUTE) {
    const minute = minuteOfHour(at);
    const where = describeHand(hourHandDeg(at));
    expect([at, where.startsWith('at ')]).toEqual([at, minute === 0]);
    if (minute > 0 && minute <= 4) expect(where).toBe(`just past ${hour12(at)}`);
    if (minute >= 56) expect(where).toBe(`almost at ${nextHour12(hour12(at))}`);
    expect([at, hourProgress(hourHandDeg(at)).sentence.includes('half way')]).toEqual([at, minute === 30]);
    for (const settings of SCHOOLS) {
      const told = explain(at, settings).map(({ beat }) => beat.text);
      if (minute > 0) for (const text of told) expect(text).not.toMatch(/short hand (points at|is at)|It is at/);
    }
  }
});

test('the talk opens with the hand that the school reads first and then comes to the other', () => {
  for (const settings of SCHOOLS) {
    const told = explain(secondOfDay(7, 35), settings).map(({ beat }) => beat.text);
    const [first, second] = settings.readingOrder === 'hour-first' ? ['short', 'long'] : ['long', 'short'];
    const opens = told.findIndex((text) => text.startsWith(`Look at the ${first} hand`));
    const goesOn = told.findIndex((text) => text.startsWith(`Now the ${second} hand`));
    expect([opens, goesOn > opens]).toEqual([1, true]);
  }
});

test('the reason for any five-minute time is at most 45 words, the count included', () => {
  for (const at of EVERY_MINUTE.filter((one) => minuteOfHour(one) % 5 === 0))
    for (const settings of SCHOOLS) {
      const words = reasonFor(at, settings).join(' ').split(/\s+/);
      expect(words.length).toBeLessThanOrEqual(45);
    }
});
