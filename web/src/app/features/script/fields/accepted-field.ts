import { hear, isTimeOfWording, toSecondOfDay, WORD_PACKS, type ItemOf, type LessonSettings } from '@zeitpunkt/core';
import type { BeatField } from './beat-field';

/**
 * Wordings that count besides those of the pack. One that says another time, or none that can be read, is taken only when it is
 * confirmed with an exclamation mark: nothing wrong counts without a warning.
 */
export const acceptedField: BeatField = {
  key: 'accepted',
  label: 'Also counts as right',
  type: 'lines',
  hint: 'One wording a line, as they say it where you are',
  read: (item) => ((item as ItemOf<'write-words'>).accepted ?? []).join('\n'),
  write(text, item, settings) {
    const accepted: string[] = [];
    const lines = text
      .split('\n')
      .map((line) => line.trim())
      .filter(Boolean);
    if (lines.length > 12) return { problem: 'At most 12 wordings.' };
    for (const line of lines) {
      const isConfirmed = line.endsWith('!');
      const words = line.replace(/!+$/, '').trim();
      const why = isConfirmed || ((item as ItemOf<'write-words'>).accepted ?? []).includes(words) ? null : whyNot(words, item, settings);
      if (why) return { problem: `${why} To let it count all the same, put ! behind it.` };
      accepted.push(words);
    }
    return { change: { accepted: accepted.length > 0 ? accepted : undefined } };
  },
};

function whyNot(words: string, { timeSec }: ItemOf<'write-words'>, { pack }: LessonSettings): string | null {
  const heard = hear(words, WORD_PACKS[pack]);
  if (heard.kind === 'unreadable') return `“${words}” is no wording that is known here.`;
  return isTimeOfWording(heard, toSecondOfDay(timeSec)) ? null : `“${words}” says another time.`;
}
