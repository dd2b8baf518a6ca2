import type { SecondOfDay } from '../time/second-of-day.js';
import type { HeardTime } from './heard.js';

/** Whether words that were heard say a time, as far as a dial can tell, and without a misconception in them. */
export function isTimeOfWording({ minuteOfDay, misconception }: HeardTime, at: SecondOfDay): boolean {
  return misconception === null && minuteOfDay % 720 === Math.floor(at / 60) % 720;
}
