import { secondOfDay, type SecondOfDay } from '../time/second-of-day.js';
import { minuteOfHour } from '../time/second-of-day.js';
import { hearAgain } from './hear-again.js';
import type { Tongue, WordPack } from './pack.js';
import { say } from './say.js';

/** A time that a text names: any hour of a 12-hour dial, in the first half of the day. */
export interface NamedTime {
  readonly at: SecondOfDay;
  /** Where it stands in the text. */
  readonly from: number;
  readonly to: number;
}

const MOST_WORDS = 8;
const HALF_DAY_MIN = 720;

/** Wordings by their words with one space between; made once for each pack. */
const wordings = new WeakMap<WordPack, ReadonlyMap<string, SecondOfDay>>();

function wordingsOf(pack: WordPack): ReadonlyMap<string, SecondOfDay> {
  let known = wordings.get(pack);
  if (known) return known;
  const made = new Map<string, SecondOfDay>();
  for (let minute = 0; minute < HALF_DAY_MIN; minute++) {
    const at = secondOfDay(Math.floor(minute / 60), minute % 60);
    // The best wording of a time comes first: it is the one that a text means where two times share one.
    for (const words of say(at, pack)) {
      const plain = plainWords(words);
      if (plain.includes(' ') && !made.has(plain)) made.set(plain, at);
    }
    if (minuteOfHour(at) === 0)
      for (const words of say(at, pack).slice(0, 1)) made.set(plainWords(words.replace(/^\S+/, String(minute / 60 || 12))), at);
  }
  wordings.set(pack, (known = made));
  return known;
}

const plainWords = (text: string) => text.toLowerCase().replace(/[’‘`´]/g, "'");

/** The times that a text names as a pack says them, or in digits as a display has them; single numbers are none. */
export function timesInText(text: string, pack: WordPack): NamedTime[] {
  const known = wordingsOf(pack);
  const words = [...text.matchAll(/[\p{L}\p{N}’'‘`´]+(?:[:.-][\p{L}\p{N}]+)*/gu)].map((found) => ({
    word: plainWords(found[0]),
    from: found.index,
  }));
  const found: NamedTime[] = [];
  for (let first = 0; first < words.length;) {
    const one = words[first]!;
    const display = /^(\d{1,2})[:.](\d\d)$/.exec(one.word);
    const last = display ? first : lastOfWording(words, first, known);
    if (last < first) {
      const mixed = display ? null : withDigits(words, first, pack);
      if (mixed) found.push({ at: mixed.at, from: one.from, to: words[mixed.last]!.from + words[mixed.last]!.word.length });
      first = mixed ? mixed.last + 1 : first + 1;
      continue;
    }
    const [hour, minute] = display ? [Number(display[1]), Number(display[2])] : [0, 0];
    const isTime = !display || (hour < 24 && minute < 60);
    const at = display
      ? secondOfDay(isTime ? hour % 12 : 0, isTime ? minute : 0)
      : known.get(
          words
            .slice(first, last + 1)
            .map(({ word }) => word)
            .join(' '),
        )!;
    if (isTime) found.push({ at, from: one.from, to: words[last]!.from + words[last]!.word.length });
    first = last + 1;
  }
  return found;
}

/** Words without which digits are no time: "quarter to 3", "7 o'clock", "10 nach 4". */
const BESIDE_DIGITS: Readonly<Record<Tongue, RegExp>> = {
  en: /^(past|after|to|of|till|til|until|half|quarter|o'clock|oclock)$/,
  de: /^(nach|vor|halb|viertel|dreiviertel|uhr)$/,
};
const MOST_WITH_DIGITS = 6;

/** The longest time with digits in it that begins at a word; as the pack hears it, without a slip. */
function withDigits(
  words: readonly { readonly word: string }[],
  first: number,
  pack: WordPack,
): { readonly at: SecondOfDay; readonly last: number } | null {
  for (let last = Math.min(words.length, first + MOST_WITH_DIGITS) - 1; last > first; last--) {
    const some = words.slice(first, last + 1).map(({ word }) => word);
    const isTime = some.some((word) => /^\d{1,2}$/.test(word)) && some.some((word) => BESIDE_DIGITS[pack.tongue].test(word));
    const heard = isTime ? hearAgain(some.join(' '), pack) : null;
    if (heard?.kind === 'time' && heard.slips === 0 && heard.misconception === null) {
      const minute = heard.minuteOfDay % HALF_DAY_MIN;
      return { at: secondOfDay(Math.floor(minute / 60), minute % 60), last };
    }
  }
  return null;
}

/** Where the longest wording that begins at a word ends; before it where none does. */
function lastOfWording(words: readonly { readonly word: string }[], first: number, known: ReadonlyMap<string, SecondOfDay>): number {
  for (let last = Math.min(words.length, first + MOST_WORDS) - 1; last > first; last--) {
    if (
      known.has(
        words
          .slice(first, last + 1)
          .map(({ word }) => word)
          .join(' '),
      )
    )
      return last;
  }
  return first - 1;
}
