import { fold } from './fold.js';
import type { Heard } from './heard.js';
import { hearDisplayInWords } from './hear-display-in-words.js';
import { hearDisplay } from './hear-display.js';
import { hearWords } from './hear-words.js';
import type { WordPack } from './pack.js';
import { plainDigits } from './plain-digits.js';

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
