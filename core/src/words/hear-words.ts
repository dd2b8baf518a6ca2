import { inDayPart, takeDayPart } from './day-part.js';
import type { Heard, HeardTime } from './heard.js';
import type { DayPart, HeardShape, WordPack } from './pack.js';
import { readingsIn, wordsOf, type Reading } from './word-readings.js';

/** Noon and midnight stand where an hour stands; they name the half of the day themselves. */
export const NAMED_HOURS: Record<string, number> = { noon: 720, midnight: 0 };

/** Reads a time in the words of a pack. Every word may have several readings; of the ways that make a time, the one with the fewest slips counts. */
export function hearWords(text: string, pack: WordPack): Heard {
  const { rest, part } = takeDayPart(wordsOf(text), pack);
  const perWord = rest.map((word) => readingsIn(word, pack));
  const readings = perWord.flat();
  if (readings.length === 0 || readings.length > 8 || perWord.some((one) => one.length === 0)) return { kind: 'unreadable' };
  let best: HeardTime | null = null;
  // Two times that are as near as each other are none: what was meant is not known.
  let isOpen = false;
  for (const way of ways(readings)) {
    const heard = understand(joinNumbers(way), part, pack);
    if (heard.kind !== 'time' || (best && heard.slips > best.slips)) continue;
    isOpen = best !== null && heard.slips === best.slips && (isOpen || heard.minuteOfDay !== best.minuteOfDay);
    if (!isOpen) best = heard;
  }
  return best && !isOpen ? best : { kind: 'unreadable' };
}

/** Every way to choose one reading for each word. */
function ways(readings: readonly (readonly Reading[])[]): Reading[][] {
  return readings.reduce<Reading[][]>((so, options) => so.flatMap((way) => options.map((option) => [...way, option])), [[]]);
}

/** "twenty five" as one number: a ten from 20 to 50 with a one behind it. */
function joinNumbers(way: readonly Reading[]): Reading[] {
  const joined: Reading[] = [];
  for (const reading of way) {
    const last = joined.at(-1);
    const tens = last && 'number' in last && last.number >= 20 && last.number % 10 === 0;
    if (tens && 'number' in reading && reading.number >= 1 && reading.number <= 9) {
      joined[joined.length - 1] = { number: last.number + reading.number, slips: last.slips + reading.slips };
    } else {
      joined.push(reading);
    }
  }
  return joined;
}

function understand(way: readonly Reading[], part: DayPart | null, pack: WordPack): Heard {
  const slips = way.reduce((sum, one) => sum + one.slips, 0);
  for (const shape of pack.shapes) {
    const fitted = fit(way, shape);
    if (!fitted) continue;
    const { hour, named, minutes } = fitted;
    const total = (named ?? hour * 60) + (shape.base ?? 0) + (shape.sign ?? 0) * minutes;
    const known = named !== null || hour > 12 || hour === 0;
    const minuteOfDay = known ? wrap(total, 1440) : wrap(total, 720);
    const misconception = shape.misconception ?? null;
    return inDayPart({ kind: 'time', minuteOfDay, halfKnown: known, form: 'words', slips: slips + (shape.slip ?? 0), misconception }, part);
  }
  const twelve = twelveWith(way, slips, pack);
  if (twelve) return inDayPart(twelve, part);
  // "half past 7 o'clock": the noun of the full hour where it does not belong.
  const last = way.at(-1);
  const noun = last && 'word' in last && way.length > 2 ? pack.displayNouns[last.word] : undefined;
  return noun !== undefined ? understand([...way.slice(0, -2), oneMoreSlip(way.at(-2)!)], part, pack) : { kind: 'unreadable' };
}

const oneMoreSlip = (reading: Reading): Reading => ({ ...reading, slips: reading.slips + 1 });

/** "12 noon", "twelve midnight", "12 Uhr mittags": the hour said twice. */
function twelveWith(way: readonly Reading[], slips: number, pack: WordPack): HeardTime | null {
  const [first, ...others] = way;
  const last = others.pop();
  if (!first || !('number' in first) || first.number !== 12 || !last || !('word' in last)) return null;
  if (others.length > 1 || others.some((one) => !('word' in one) || !Object.hasOwn(pack.displayNouns, one.word))) return null;
  const named = NAMED_HOURS[last.word];
  return named === undefined ? null : { kind: 'time', minuteOfDay: named, halfKnown: true, form: 'words', slips, misconception: null };
}

const slotsByShape = new WeakMap<HeardShape, readonly string[]>();

/** The slots of a shape, taken apart once: every typed time is held against every shape of its pack. */
function slotsOf(shape: HeardShape): readonly string[] {
  const slots = slotsByShape.get(shape) ?? shape.shape.split(' ');
  slotsByShape.set(shape, slots);
  return slots;
}

/** What a way of reading fills the slots of a shape with; null where it does not fit. */
function fit(way: readonly Reading[], shape: HeardShape): { hour: number; named: number | null; minutes: number } | null {
  const slots = slotsOf(shape);
  if (slots.length !== way.length) return null;
  const found = { hour: 0, named: null as number | null, minutes: 0 };
  const [least, most] = shape.minutes ?? [1, 59];
  for (const [index, slot] of slots.entries()) {
    const reading = way[index]!;
    if (slot === 'H' && 'word' in reading && reading.word in NAMED_HOURS) {
      if (shape.shape === 'H' || !shape.shape.includes('oclock')) found.named = NAMED_HOURS[reading.word]!;
      else return null;
    } else if (slot === 'H') {
      if (!('number' in reading) || reading.number > (shape.hours ?? 12) || (reading.number === 0 && !shape.hours)) return null;
      // "to seven" lacks its minutes, it is not 2:07; nothing is to thirty.
      if (reading.soundsLike && !/[a-z]/.test(shape.shape) && !isOnlyMinutes(way.at(-1))) return null;
      found.hour = reading.number;
    } else if (slot === 'M') {
      if (!('number' in reading) || reading.number < least || reading.number > most) return null;
      if (reading.soundsLike && !/[a-z]/.test(shape.shape)) return null; // "ten to" lacks its hour, it is not 10:02
      const padded = reading.padded === true && reading.number < 10;
      if (padded ? shape.misconception : shape.padded) return null;
      found.minutes = reading.number;
    } else if (!('word' in reading) || reading.word !== slot) {
      return null;
    }
  }
  return found;
}

/** A number that is no hour of a dial: it can only be minutes. */
const isOnlyMinutes = (reading: Reading | undefined): boolean => reading !== undefined && 'number' in reading && reading.number > 12;

const wrap = (minutes: number, length: number) => ((minutes % length) + length) % length;
