import { fold } from './fold.js';
import { slipsAllowed, slipsBetween } from './letters.js';
import type { WordPack } from './pack.js';

/** One way to read a typed word: as a word of the lexicon or as a number, with the slips that it takes. */
export type Reading =
  | { readonly word: string; readonly slips: number }
  | {
      readonly number: number;
      readonly slips: number;
      /** Typed with two digits, the first a zero. */
      readonly padded?: boolean;
      /** The number only sounds like what was typed, which is a word itself: "to" for two. */
      readonly soundsLike?: boolean;
    };

/** Words and numbers apart: "7oclock" and "twenty-five" are two each; "a clock" and "o clock" are one. */
export function wordsOf(text: string): string[] {
  return text
    .replace(/(\d)(?=[^\d\s])/g, '$1 ')
    .replace(/([a-zäöüß]{3,})(?=\d)/g, '$1 ')
    .replace(/\b([oa])'? cl?o(ck|k|c)\b/g, '$1clock')
    .replace(/\b([ap])\.? ?m\.?(?=\s|$)/g, '$1m')
    .replace(/[-,.]/g, ' ')
    .split(' ')
    .filter(Boolean);
}

/** Behind a word that was typed without the space after it. */
const JOINED = '+';

/** A word that is several written as one: "halfpast" is half and past. Only where it is none itself. */
export function partsOf(word: string, pack: WordPack): string[] {
  if (readingsOf(word, pack).length > 0 || pack.fillers.includes(word) || Object.hasOwn(pack.dayParts, word)) return [word];
  for (let cut = word.length - 2; cut >= 2; cut--) {
    const first = word.slice(0, cut);
    if (!isWhole(first, pack)) continue;
    const others = isWhole(word.slice(cut), pack) ? [word.slice(cut)] : partsOf(word.slice(cut), pack);
    if (others.length > 1 || isWhole(others[0]!, pack)) return [first + JOINED, ...others];
  }
  return [word];
}

/** Whether a word is one of the pack's, or one of its known slips that is long enough to be meant. */
function isWhole(word: string, pack: WordPack): boolean {
  const { words, numbers, slips } = tableOf(pack);
  const isSlip = word.length >= 4 && slips.some(([written]) => written === word);
  return isSlip || words.some(([written]) => written === word) || numbers.some(([written]) => written === word);
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

/**
 * Every way to read a word.
 * @param word with {@link JOINED} behind it where a space was left out, which is a slip
 */
export function readingsOf(word: string, pack: WordPack): Reading[] {
  if (word.endsWith(JOINED)) return readingsOf(word.slice(0, -1), pack).map((reading) => ({ ...reading, slips: reading.slips + 1 }));
  const table = tableOf(pack);
  const readings: Reading[] = [];
  if (/^\d{1,2}$/.test(word)) readings.push({ number: Number(word), slips: 0, padded: /^0\d/.test(word) });
  for (const [written, name] of table.words) if (written === word) readings.push({ word: name, slips: 0 });
  for (const [written, n] of table.numbers) if (written === word) readings.push({ number: n, slips: 0 });
  for (const [slip, name] of table.slips) if (slip === word) readings.push({ word: name, slips: 1 });
  if (Object.hasOwn(pack.numberSlips, word)) {
    const number = pack.numberSlips[word]!;
    const soundsLike = readings.some((reading) => 'word' in reading && reading.slips === 0);
    readings.push({ number, slips: Object.values(pack.hourForms).includes(word) ? 0 : 1, soundsLike });
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
