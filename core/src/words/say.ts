import type { SecondOfDay } from '../time/second-of-day.js';
import { hour12, hour24, minuteOfHour, nextHour12 } from '../time/second-of-day.js';
import type { Register, WordPack } from './pack.js';
import { partOfDay } from './parts-of-day.js';

/**
 * Every right wording of a time, best first. Without a register: those that a 12-hour dial allows; the words for the half
 * of the day come only when `half-day` is asked for.
 * @example say(secondOfDay(16, 30), enGB) // ["half past four", "four thirty"]
 * @example say(secondOfDay(12, 0), enGB, 'half-day') // ["noon", "twelve noon"]
 */
export function say(at: SecondOfDay, pack: WordPack, register?: Register): readonly string[] {
  let ofPack = known.get(pack);
  if (!ofPack) known.set(pack, (ofPack = new Map<string, readonly string[]>()));
  const key = `${Math.floor(at / 60)} ${register ?? ''}`;
  let wordings = ofPack.get(key);
  if (!wordings) ofPack.set(key, (wordings = wordingsOf(at, pack, register)));
  return wordings;
}

/** The wordings of a minute are asked for again and again. */
const known = new WeakMap<WordPack, Map<string, readonly string[]>>();

function wordingsOf(at: SecondOfDay, pack: WordPack, register?: Register): string[] {
  const minute = minuteOfHour(at);
  const words = slots(at, pack);
  return pack.rules
    .filter((rule) => minute >= rule.from && minute <= rule.to)
    .filter((rule) => (register === undefined ? rule.register !== 'half-day' : rule.register === register))
    .filter((rule) => rule.fives === undefined || rule.fives === (minute % 5 === 0))
    .filter((rule) => rule.only === undefined || rule.only * 60 === at - (at % 60))
    .map((rule) => rule.template.replace(/\{(\w+)\}/g, (_, slot: string) => words[slot]!).trim());
}

/** The wording a lesson speaks first: the best one of its pack. */
export function bestWording(at: SecondOfDay, pack: WordPack): string {
  return say(at, pack)[0]!;
}

function slots(at: SecondOfDay, pack: WordPack): Record<string, string> {
  const minute = minuteOfHour(at);
  const hour = hour12(at);
  const left = 60 - minute;
  const number = (n: number) => pack.numbers[Math.abs(n) % 60]!;
  const before = (n: number) => pack.hourForms[n] ?? number(n);
  const counted = minute > 30 ? left : minute;
  return {
    h: number(hour),
    hour: before(hour),
    n: number(nextHour12(hour)),
    h24: before(hour24(at)),
    m: number(minute),
    left: number(left),
    mOf: pack.minuteForms[minute] ?? number(minute),
    leftOf: pack.minuteForms[left] ?? number(left),
    toHalf: number(30 - minute),
    pastHalf: number(minute - 30),
    minutes: pack.minuteWord[counted === 1 ? 0 : 1],
    part: partOfDay(at, pack.tongue).words,
  };
}
