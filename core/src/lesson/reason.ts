import type { SecondOfDay } from '../time/second-of-day.js';
import { hour12, minuteOfHour, nextHour12 } from '../time/second-of-day.js';
import type { LessonSettings } from './settings.js';

/** Why the hour is this one, in one sentence, by the lesson's wording of the rule. At 12 to 1 the sentence is its own. */
export function hourReason(at: SecondOfDay, settings: LessonSettings): string {
  const hour = hour12(at);
  if (minuteOfHour(at) === 0) return `The short hand points at ${hour}: the hour is ${hour}.`;
  const next = nextHour12(hour);
  const after = hour === 12 ? ' After 12 the hours begin again at 1.' : '';
  const rule = {
    passed: `The short hand has passed ${hour} and not reached ${next} yet: the hour is ${hour}.`,
    'step-back': `Step back to the numeral before the short hand: the hour is ${hour}.`,
    zone: `The short hand stands in the zone that belongs to ${hour}, up to ${next}: the hour is ${hour}.`,
  }[settings.betweenRule];
  return rule + after;
}

/** Why the minutes are these, in one sentence. */
export function minuteReason(at: SecondOfDay): string {
  const minute = minuteOfHour(at);
  if (minute === 0) return 'The long hand points at 12: no minutes yet, 00.';
  const fives = Math.floor(minute / 5);
  const ones = minute % 5;
  const count = fives > 0 ? `${fives} ${fives === 1 ? 'five' : 'fives'}` : '';
  const rest = ones > 0 ? `${ones} ${ones === 1 ? 'one' : 'ones'}` : '';
  return `Round from 12 to the long hand: ${[count, rest].filter(Boolean).join(' and ')}, ${minute} ${minute === 1 ? 'minute' : 'minutes'}.`;
}

/** The reason for a time in the order the lesson reads the hands: two sentences. */
export function reasonFor(at: SecondOfDay, settings: LessonSettings): string[] {
  const sentences = [hourReason(at, settings), minuteReason(at)];
  return settings.readingOrder === 'hour-first' ? sentences : sentences.reverse();
}
