import type { SecondOfDay } from '../time/second-of-day.js';
import { hour12, minuteOfHour, nextHour12 } from '../time/second-of-day.js';
import type { Register, WordPack } from './pack.js';

/**
 * Every right wording of a time on the 12-hour dial, best first.
 * @param register leaves out the wordings of the other register; both when absent
 * @example say(secondOfDay(16, 30), enGB) // ["half past four", "four thirty"]
 */
export function say(at: SecondOfDay, pack: WordPack, register?: Register): string[] {
  const minute = minuteOfHour(at);
  const hour = hour12(at);
  const left = 60 - minute;
  const counted = minute > 30 ? left : minute;
  const words: Record<string, string> = {
    h: pack.numbers[hour]!,
    n: pack.numbers[nextHour12(hour)]!,
    m: pack.numbers[minute]!,
    left: pack.numbers[left % 60]!,
    minutes: pack.minuteWord[counted === 1 ? 0 : 1],
  };
  return pack.rules
    .filter((rule) => minute >= rule.from && minute <= rule.to)
    .filter((rule) => register === undefined || rule.register === register)
    .filter((rule) => rule.fives === undefined || rule.fives === (minute % 5 === 0))
    .map((rule) => rule.template.replace(/\{(\w+)\}/g, (_, slot: string) => words[slot]!));
}

/** The wording a lesson speaks first: the best one of its pack. */
export function bestWording(at: SecondOfDay, pack: WordPack): string {
  return say(at, pack)[0]!;
}
