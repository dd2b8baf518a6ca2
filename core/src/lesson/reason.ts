import type { SecondOfDay } from '../time/second-of-day.js';
import { hour12, minuteOfHour, nextHour12 } from '../time/second-of-day.js';
import type { LessonSettings } from './settings.js';

/** Minutes before and after a full hour in which the short hand seems to be at its numeral. */
const CLOSE_MIN = 4;

/** Why the hour is this one, by the lesson's wording of the rule. At 12 to 1 the sentence is its own. */
export function hourReason(at: SecondOfDay, settings: LessonSettings): string {
  const hour = hour12(at);
  const minute = minuteOfHour(at);
  if (minute === 0) return `The short hand points at ${hour}: the hour is ${hour}.`;
  const next = nextHour12(hour);
  const after = hour === 12 ? ' After 12 the hours begin again at 1.' : '';
  const isAlmost = minute >= 60 - CLOSE_MIN;
  const where = isAlmost
    ? `The short hand is almost at ${next}, but not there yet`
    : minute <= CLOSE_MIN
      ? `The short hand is just past ${hour}`
      : `The short hand has passed ${hour} and not reached ${next} yet`;
  const rule = {
    passed: `${where}: the hour is ${isAlmost ? 'still ' : ''}${hour}.`,
    'step-back': `${isAlmost ? `The short hand is almost at ${next}. ` : ''}Step back to the numeral before the short hand: the hour is ${hour}.`,
    zone: `The short hand is between ${hour} and ${next}, in the zone of ${hour}: the hour is ${hour}.`,
  }[settings.betweenRule];
  return rule + after;
}

/** How far round the long hand is where that has a name. */
const PART_OF_THE_WAY: Readonly<Record<number, string>> = {
  15: ', a quarter of the way round',
  30: ', half way round',
  45: ', three quarters of the way round',
};

/** Why the minutes are these, as they are counted: in fives, then tick by tick. */
export function minuteReason(at: SecondOfDay): string {
  const minute = minuteOfHour(at);
  if (minute === 0) return 'The long hand points at 12: no minutes yet, 00.';
  if (minute === 1) return 'The long hand is one tick past the 12: 1 minute.';
  if (minute === 5) return 'From the 12 to the 1: 5 minutes.';
  const fives = Math.floor(minute / 5) * 5;
  const ones = Array.from({ length: minute - fives }, (_, index) => fives + index + 1).join(', ');
  if (fives === 0) return `Tick by tick from the 12: ${ones} minutes.`;
  const counted = fives <= 20 ? [5, 10, 15, 20].filter((one) => one <= fives).join(', ') : `5, 10, 15 … ${fives}`;
  const part = PART_OF_THE_WAY[minute] ?? '';
  return `In fives from the 12: ${counted}${ones ? `, and ${ones}` : ''} minutes${part}.`;
}

/** The reason for a time in the order the lesson reads the hands: two sentences. */
export function reasonFor(at: SecondOfDay, settings: LessonSettings): string[] {
  const sentences = [hourReason(at, settings), minuteReason(at)];
  return settings.readingOrder === 'hour-first' ? sentences : sentences.reverse();
}
