import { fold, type Heard } from './hear.js';
import { slipsAllowed, slipsBetween } from './letters.js';
import type { DayPart, HeardShape, WordPack } from './pack.js';

/** One way to read a typed word: as a word of the lexicon or as a number, with the slips that it takes. */
type Reading = { readonly word: string; readonly slips: number } | { readonly number: number; readonly slips: number };

/** Noon and midnight stand where an hour stands; they name the half of the day themselves. */
const NAMED_HOURS: Record<string, number> = { noon: 720, midnight: 0 };

/** Reads a time in the words of a pack. Every word may have several readings; of the ways that make a time, the one with the fewest slips counts. */
export function hearWords(text: string, pack: WordPack): Heard {
  const { rest, part } = takeDayPart(wordsOf(text), pack);
  const readings = rest.map((word) => readingsOf(word, pack));
  if (rest.length === 0 || rest.length > 8 || readings.some((one) => one.length === 0)) return { kind: 'unreadable' };
  let best: Heard = { kind: 'unreadable' };
  for (const way of ways(readings)) {
    const heard = understand(joinNumbers(way), part, pack);
    if (heard.kind === 'time' && (best.kind === 'unreadable' || heard.slips < best.slips)) best = heard;
  }
  return best;
}

/** Words and numbers apart: "7oclock" and "twenty-five" are two each; "a clock" and "o clock" are one. */
function wordsOf(text: string): string[] {
  return text
    .replace(/(\d)(?=[^\d\s])/g, '$1 ')
    .replace(/\b([oa])'? cl?o(ck|k|c)\b/g, '$1clock')
    .replace(/\b([ap])\.? ?m\.?(?=\s|$)/g, '$1m')
    .replace(/[-,.]/g, ' ')
    .split(' ')
    .filter(Boolean);
}

/** Takes the part of the day and the words that carry no time out. */
function takeDayPart(words: readonly string[], pack: WordPack): { rest: string[]; part: DayPart | null } {
  const parts = Object.fromEntries(Object.entries(pack.dayParts).map(([word, part]) => [fold(word, pack), part]));
  let part: DayPart | null = null;
  const rest: string[] = [];
  for (const word of words) {
    if (Object.hasOwn(parts, word) && part === null && rest.length > 0) part = parts[word]!;
    else if (!pack.fillers.includes(word)) rest.push(word);
  }
  return { rest, part };
}

const tables = new WeakMap<WordPack, { words: [string, string][]; slips: [string, string][]; numbers: [string, number][] }>();

/** The pack's words, folded as typed text is. */
function tableOf(pack: WordPack) {
  let table = tables.get(pack);
  if (!table) {
    const entries = Object.entries(pack.lexicon);
    table = {
      words: entries.flatMap(([name, { written }]) => written.map((word): [string, string] => [fold(word, pack), name])),
      slips: entries.flatMap(([name, { slips = [] }]) => slips.map((word): [string, string] => [fold(word, pack), name])),
      numbers: pack.numbers.map((word, n): [string, number] => [fold(word, pack), n]),
    };
    tables.set(pack, table);
  }
  return table;
}

function readingsOf(word: string, pack: WordPack): Reading[] {
  const table = tableOf(pack);
  const readings: Reading[] = [];
  if (/^\d{1,2}$/.test(word)) readings.push({ number: Number(word), slips: 0 });
  for (const [written, name] of table.words) if (written === word) readings.push({ word: name, slips: 0 });
  for (const [written, n] of table.numbers) if (written === word) readings.push({ number: n, slips: 0 });
  for (const [slip, name] of table.slips) if (slip === word) readings.push({ word: name, slips: 1 });
  if (Object.hasOwn(pack.numberSlips, word)) {
    const number = pack.numberSlips[word]!;
    readings.push({ number, slips: Object.values(pack.hourForms).includes(word) ? 0 : 1 });
  }
  return readings.length > 0 ? readings : nearby(word, pack);
}

/** Words that the typed one is a few slips away from; only the nearest count. */
function nearby(word: string, pack: WordPack): Reading[] {
  const table = tableOf(pack);
  const near: Reading[] = [];
  for (const [written, name] of table.words) near.push({ word: name, slips: limited(word, written) });
  for (const [written, n] of table.numbers) near.push({ number: n, slips: limited(word, written) });
  const least = Math.min(...near.map((one) => one.slips));
  return least === Infinity ? [] : near.filter((one) => one.slips === least);
}

function limited(typed: string, written: string): number {
  const allowed = slipsAllowed(Math.min(typed.length, written.length));
  if (allowed === 0 || Math.abs(typed.length - written.length) > allowed) return Infinity;
  const slips = slipsBetween(typed, written);
  return slips <= allowed ? slips : Infinity;
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
    const inDay = part && !known ? inPart(minuteOfDay, part) : minuteOfDay;
    return {
      kind: 'time',
      minuteOfDay: inDay,
      halfKnown: known || part !== null,
      form: 'words',
      slips,
      misconception: shape.misconception ?? null,
    };
  }
  return twelveWith(way, slips) ?? { kind: 'unreadable' };
}

/** "12 noon", "twelve midnight": the hour said twice. */
function twelveWith(way: readonly Reading[], slips: number): Heard | null {
  const [first, second] = way;
  if (way.length !== 2 || !first || !('number' in first) || first.number !== 12 || !second || !('word' in second)) return null;
  const named = NAMED_HOURS[second.word];
  return named === undefined ? null : { kind: 'time', minuteOfDay: named, halfKnown: true, form: 'words', slips, misconception: null };
}

function fit(way: readonly Reading[], shape: HeardShape): { hour: number; named: number | null; minutes: number } | null {
  const slots = shape.shape.split(' ');
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
      found.hour = reading.number;
    } else if (slot === 'M') {
      if (!('number' in reading) || reading.number < least || reading.number > most) return null;
      found.minutes = reading.number;
    } else if (!('word' in reading) || reading.word !== slot) {
      return null;
    }
  }
  return found;
}

const wrap = (minutes: number, length: number) => ((minutes % length) + length) % length;

/** A time of the 12-hour dial in its part of the day. The night runs from six in the evening to six in the morning. */
function inPart(minuteOf12: number, part: DayPart): number {
  const pm = part === 'pm' || (part === 'night' && minuteOf12 >= 360);
  return minuteOf12 + (pm ? 720 : 0);
}
