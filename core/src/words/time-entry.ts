import { halfOfDay, inHalf } from '../time/occurrence.js';
import { minuteDigits } from '../time/display.js';
import { toSecondOfDay, type SecondOfDay } from '../time/second-of-day.js';
import { hear, LONGEST_HEARD } from './hear.js';
import { WORD_PACKS, type WordPackId } from './registry.js';

export type TimeEntry = { readonly at: SecondOfDay } | { readonly problem: string };

const PACK_NAMES: Readonly<Record<WordPackId, string>> = { 'en-GB': 'British English', 'en-US': 'American English', de: 'German' };

/**
 * A time that a teacher types to set a dial: digits or words of the pack. Where the half of the day is left open, the dial
 * stays in the half that it is in. Anything else gets one sentence that says why, and what would do.
 */
export function readTimeEntry(text: string, packId: WordPackId, now: SecondOfDay): TimeEntry {
  if (text.trim() === '') return { problem: 'Type a time, such as 0745, 7.45 or quarter to 8.' };
  if (text.length > LONGEST_HEARD) return { problem: 'That is too long for a time. Type 0745, 7.45 or quarter to 8.' };
  const heard = hear(text, WORD_PACKS[packId]);
  if (heard.kind === 'unreadable') return { problem: whyUnreadable(text.trim(), packId) };
  const digits = `${Math.floor(heard.minuteOfDay / 60) || 12}:${minuteDigits(heard.minuteOfDay % 60)}`;
  if (heard.misconception === 'sixty-at-top') return { problem: `After 59 minutes the next hour begins: write ${digits}.` };
  if (heard.misconception === 'zero-dropped') return { problem: `Minutes have two digits: write ${digits}.` };
  const at = toSecondOfDay(heard.minuteOfDay * 60);
  return { at: heard.halfKnown ? at : inHalf(at, halfOfDay(now)) };
}

function whyUnreadable(text: string, packId: WordPackId): string {
  const digits = /^(\d{1,2})\s*[:.;, ]\s*(\d{1,2})/.exec(text) ?? /^(\d{1,2})(\d{2})$/.exec(text);
  if (digits && Number(digits[1]) > 23) return `There is no hour ${Number(digits[1])}: hours go from 0 to 23.`;
  if (digits && Number(digits[2]) > 59) return `There is no minute ${Number(digits[2])}: minutes go from 00 to 59.`;
  const other = (Object.keys(WORD_PACKS) as WordPackId[]).find((id) => id !== packId && hear(text, WORD_PACKS[id]).kind === 'time');
  if (other) return `“${text}” is ${PACK_NAMES[other]}; this dial speaks ${PACK_NAMES[packId]}.`;
  return `“${text}” is no time that can be read. Type 0745, 7.45 or quarter to 8.`;
}
