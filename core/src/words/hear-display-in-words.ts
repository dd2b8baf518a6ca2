import { inDayPart, takeDayPart } from './day-part.js';
import { hearDisplay } from './hear-display.js';
import { NAMED_HOURS } from './hear-words.js';
import type { Heard } from './heard.js';
import type { WordPack } from './pack.js';
import { readingsOf, wordsOf } from './word-readings.js';

/**
 * Reads a display with words about it: "it's 7:30 in the evening", "7:30 Uhr", "12:00 midnight". Returns null where there is
 * no display among the words.
 */
export function hearDisplayInWords(text: string, pack: WordPack): Heard | null {
  const { rest, part } = takeDayPart(text.split(' '), pack);
  const name = rest.length > 1 ? nameOf(rest.at(-1)!, pack) : null;
  const slips = name === null ? undefined : pack.displayNouns[name];
  const named = name === null ? undefined : NAMED_HOURS[name];
  const digits = slips === undefined && named === undefined ? rest : rest.slice(0, -1);
  const heard = hearDisplay(digits.join(' '));
  if (heard?.kind !== 'time') return heard;
  // With its noun it is said as it is read out: "7.30 Uhr" as "7 Uhr 30".
  const form = slips === 0 ? 'words' : heard.form;
  if (named === undefined) return inDayPart({ ...heard, form, slips: slips ?? 0 }, part);
  // "12:00 noon" says its hour twice; no other time can.
  const isTwelve = heard.minuteOfDay === 0 && !heard.halfKnown;
  return isTwelve ? inDayPart({ ...heard, minuteOfDay: named, halfKnown: true }, part) : { kind: 'unreadable' };
}

/** The name in the lexicon of a word that can be read in one way only. */
function nameOf(typed: string, pack: WordPack): string | null {
  const words = wordsOf(typed);
  const [reading, ...others] = words.length === 1 ? readingsOf(words[0]!, pack) : [];
  return reading && 'word' in reading && others.length === 0 ? reading.word : null;
}
