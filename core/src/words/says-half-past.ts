import { minuteOfHour, type SecondOfDay } from '../time/second-of-day.js';
import type { WordPack } from './pack.js';
import { say } from './say.js';

/**
 * Whether words name a half hour by the hour that has begun ("half past four"). Packs whose half names the coming hour
 * ("halb fünf"), and words that count hour and minutes ("four thirty"), do not.
 */
export function saysHalfPast(words: string, at: SecondOfDay, pack: WordPack): boolean {
  const rule = pack.rules.find(({ register, from, to }) => register === 'past-to' && from <= 30 && to >= 30);
  return minuteOfHour(at) === 30 && rule?.template.includes('{n}') === false && say(at, pack, 'past-to').includes(words);
}
