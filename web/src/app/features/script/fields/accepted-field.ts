import type { LessonSettings } from '@zeitpunkt/core/lesson/settings';
import type { ItemOf } from '@zeitpunkt/core/question-kinds/registry';
import { toSecondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { hear } from '@zeitpunkt/core/words/hear';
import { isTimeOfWording } from '@zeitpunkt/core/words/is-time-of-wording';
import { WORD_PACKS } from '@zeitpunkt/core/words/registry';
import type { BeatField } from './beat-field';
import { FIELD_WORDS } from './words';

/**
 * Wordings that count besides those of the pack. One that says another time, or none that can be read, is taken only when it is
 * confirmed with an exclamation mark: nothing wrong counts without a warning.
 */
export const acceptedField = (w = FIELD_WORDS()): BeatField => ({
  key: 'accepted',
  label: w.alsoCountsAsRight,
  type: 'lines',
  hint: w.wordingsHint,
  read: (item) => ((item as ItemOf<'write-words'>).accepted ?? []).join('\n'),
  write(text, item, settings) {
    const accepted: string[] = [];
    const lines = text
      .split('\n')
      .map((line) => line.trim())
      .filter(Boolean);
    if (lines.length > 12) return { problem: w.mostWordings(12) };
    for (const line of lines) {
      const isConfirmed = line.endsWith('!');
      const words = line.replace(/!+$/, '').trim();
      const why = isConfirmed || ((item as ItemOf<'write-words'>).accepted ?? []).includes(words) ? null : whyNot(words, item, settings);
      if (why) return { problem: w.countAllTheSame(why) };
      accepted.push(words);
    }
    return { change: { accepted: accepted.length > 0 ? accepted : undefined } };
  },
});

function whyNot(words: string, { timeSec }: ItemOf<'write-words'>, { pack }: LessonSettings): string | null {
  const heard = hear(words, WORD_PACKS[pack]);
  if (heard.kind === 'unreadable') return FIELD_WORDS().noWording(words);
  return isTimeOfWording(heard, toSecondOfDay(timeSec)) ? null : FIELD_WORDS().otherTime(words);
}
