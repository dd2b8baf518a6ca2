import { fold } from './fold.js';
import { hearDisplayInWords } from './hear-display-in-words.js';
import { hearDisplay } from './hear-display.js';
import { hearWords } from './hear-words.js';
import type { WordPack } from './pack.js';
import { plainDigits } from './plain-digits.js';

/** What a typed text means. */
export type Heard = HeardTime | { readonly kind: 'unreadable' };

export interface HeardTime {
  readonly kind: 'time';
  /** Minutes since midnight, 0 to 1439; with the half of the day unknown, minutes since 12 o'clock, 0 to 719. */
  readonly minuteOfDay: number;
  readonly halfKnown: boolean;
  readonly form: 'display' | 'words';
  /** Spelling slips, 0 or more: a slip does not make the time wrong. */
  readonly slips: number;
  /** Set where the text reads as this time only through a misconception. */
  readonly misconception: 'zero-dropped' | 'sixty-at-top' | null;
}

/** Longer texts are no time: nobody needs more letters to write one. */
export const LONGEST_HEARD = 80;

/** What is left of a text after what was said before the time. */
function withoutOpening(text: string, { openings }: WordPack): string {
  const opening = openings.find((words) => text.startsWith(`${words} `));
  return opening ? text.slice(opening.length + 1).replace(/^[:,] ?/, '') : text;
}

/**
 * What time a typed text means, in digits or in the words of a pack, with spelling slips apart from wrong times.
 * @example hear('quater past sevn', enGB) // 7:15, words, 2 slips
 */
export function hear(text: string, pack: WordPack): Heard {
  if (text.length > LONGEST_HEARD) return { kind: 'unreadable' };
  // Digits of other scripts and fractions in one letter (½) are brought to plain ones.
  const typed = plainDigits(text)
    .toLowerCase()
    .replaceAll('⁄', '/')
    .replace(/[’‘`´]/g, "'")
    .replace(/\s+/g, ' ')
    .replace(/^[ "“”„«([]+|[ "“”»)\].!?]+$/g, '');
  const plain = fold(withoutOpening(typed, pack), pack);
  return hearDisplay(plain) ?? hearDisplayInWords(plain, pack) ?? hearWords(plain, pack);
}
