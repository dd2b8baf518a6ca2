import { fold } from './fold.js';
import { slipsAllowed, slipsBetween } from './letters.js';
import type { WordPack } from './pack.js';
import { soundOf, tellsAWord } from './sounds.js';

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

/** "o'clock" with a zero for its o, and with a space, comma, hyphen or apostrophe where none belongs. */
const MISPUT_OCLOCK = /(^|[^a-z])(?!o'clock)[oa0]h?[',.-]? ?[',-]?[ck]'?l?'?o'?o?(ck|k|c)(?![a-z])/g;

/** Words and numbers apart: "7oclock" and "twenty-five" are two each; "a clock" and "o clock" are one. */
export function wordsOf(text: string): string[] {
  return text
    .replace(MISPUT_OCLOCK, (_, before: string) => `${before.trim()} oclock`)
    .replace(/\bo'(?!c)/g, 'o ')
    .replace(/(\d)(?=[^\d\s])/g, '$1 ')
    .replace(/([a-zäöüß]{2,})(?=\d)/g, '$1 ')
    .replace(/\b([ap])\.? ?m\.?(?=\s|$)/g, '$1m')
    .replace(/[-,.]/g, ' ')
    .split(' ')
    .filter(Boolean);
}

/**
 * The readings of each word in what was typed as one: "halfpast" is half and past, with a slip for each space left out. One
 * that is a word itself stays one; none where it cannot be read at all.
 */
export function readingsIn(typed: string, pack: WordPack): Reading[][] {
  const readings = readingsOf(typed, pack);
  if (readings.length > 0) return [readings];
  const words = wholeWordsIn(typed, pack) ?? [];
  const lastPlace = words.length - 1;
  return words.map((word, place) =>
    readingsOf(word, pack).map((reading) => (place < lastPlace ? { ...reading, slips: reading.slips + 1 } : reading)),
  );
}

/** The words that were written as one, the first as long as can be; null where something is left over. */
function wholeWordsIn(typed: string, pack: WordPack): string[] | null {
  if (isWhole(typed, pack)) return [typed];
  // What means something by itself is not taken apart: "afternoon", or a word with a slip in it.
  if (readingsOf(typed, pack).length > 0 || Object.hasOwn(pack.dayParts, typed) || pack.fillers.includes(typed)) return null;
  for (let cut = typed.length - 2; cut >= 2; cut--) {
    const others = isWhole(typed.slice(0, cut), pack) ? wholeWordsIn(typed.slice(cut), pack) : null;
    if (others) return [typed.slice(0, cut), ...others];
  }
  return null;
}

/** Whether a word is one of the pack's, or one of its known slips that is long enough to be meant. */
function isWhole(word: string, pack: WordPack): boolean {
  const { words, numbers, slips } = tableOf(pack);
  const isSlip = word.length >= 4 && slips.some(([written]) => written === word);
  return isSlip || words.some(([written]) => written === word) || numbers.some(([written]) => written === word);
}

type Written<Meaning> = readonly (readonly [written: string, meaning: Meaning])[];

interface Table {
  readonly words: Written<string>;
  readonly slips: Written<string>;
  readonly numbers: Written<number>;
  /** By sound, of words, known slips and numbers; null where several sound so. */
  readonly bySound: ReadonlyMap<string, Reading | null>;
}

const tables = new WeakMap<WordPack, Table>();

/** The pack's words, folded as typed text is; made once. */
function tableOf(pack: WordPack): Table {
  const known = tables.get(pack);
  if (known) return known;
  const entries = Object.entries(pack.lexicon);
  const written = {
    words: entries.flatMap(([name, { written }]) => written.map((word) => [fold(word, pack), name] as const)),
    slips: entries.flatMap(([name, { slips = [] }]) => slips.map((word) => [fold(word, pack), name] as const)),
    numbers: pack.numbers.map((word, n) => [fold(word, pack), n] as const),
  };
  const table: Table = { ...written, bySound: bySoundOf(written, pack) };
  tables.set(pack, table);
  return table;
}

function bySoundOf({ words, slips, numbers }: Omit<Table, 'bySound'>, pack: WordPack): Map<string, Reading | null> {
  const found = new Map<string, Reading | null>();
  const add = (text: string, reading: Reading) => {
    const sound = soundOf(text, pack);
    if (!tellsAWord(sound)) return;
    const before = found.get(sound);
    const isSame = before === undefined || (before !== null && meaningOf(before) === meaningOf(reading));
    found.set(sound, isSame ? reading : null);
  };
  for (const [text, word] of [...words, ...slips]) add(text, { word, slips: 1 });
  // Of two words with a hyphen each is heard by itself.
  for (const [text, number] of numbers) if (!text.includes('-')) add(text, { number, slips: 1 });
  return found;
}

const meaningOf = (reading: Reading): string | number => ('word' in reading ? reading.word : reading.number);

/** Every way to read one word. */
export function readingsOf(word: string, pack: WordPack): Reading[] {
  const table = tableOf(pack);
  const readings: Reading[] = [];
  if (/^\d{1,2}$/.test(word)) readings.push({ number: Number(word), slips: 0, padded: /^0\d/.test(word) });
  for (const [written, name] of table.words) if (written === word) readings.push({ word: name, slips: 0 });
  for (const [written, n] of table.numbers) if (written === word) readings.push({ number: n, slips: 0 });
  for (const [slip, name] of table.slips) if (slip === word) readings.push({ word: name, slips: 1 });
  if (Object.hasOwn(pack.numberSlips, word)) {
    const number = pack.numberSlips[word]!;
    const soundsLike = readings.some((reading) => 'word' in reading && reading.slips === 0);
    readings.push({
      number,
      slips: [...Object.values(pack.hourForms), ...Object.values(pack.minuteForms)].includes(word) ? 0 : 1,
      soundsLike,
    });
  }
  if (readings.length > 0 || pack.otherWords.includes(word)) return readings;
  // What sounds like one word is that word, even where letters alone come nearer to another: "firty" is thirty, not forty.
  const heard = table.bySound.get(soundOf(word, pack));
  return heard ? [heard] : nearby(word, pack);
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
  if (typed.length === 3 && written.length === 3 && slipsBetween(typed, written) === 1 && sameLetters(typed, written)) return 1;
  const allowed = slipsAllowed(Math.min(typed.length, written.length));
  if (allowed === 0 || Math.abs(typed.length - written.length) > allowed) return Infinity;
  const slips = slipsBetween(typed, written);
  return slips <= allowed ? slips : Infinity;
}

/** Whether two words have the same letters: of three letters two neighbours are exchanged, "tne" for "ten". */
const sameLetters = (one: string, other: string): boolean => [...one].sort().join('') === [...other].sort().join('');
