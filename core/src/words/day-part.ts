import { fold } from './fold.js';
import type { Heard, HeardTime } from './heard.js';
import type { DayPart, WordPack } from './pack.js';

/** Takes the part of the day and the words that carry no time out. */
export function takeDayPart(words: readonly string[], pack: WordPack): { rest: string[]; part: DayPart | null } {
  const parts = Object.fromEntries(Object.entries(pack.dayParts).map(([word, part]) => [fold(word, pack), part]));
  let part: DayPart | null = null;
  const rest: string[] = [];
  for (const word of words) {
    if (Object.hasOwn(parts, word) && part === null && rest.length > 0) part = parts[word]!;
    else if (!pack.fillers.includes(word)) rest.push(word);
  }
  return { rest, part };
}

/** The time in its part of the day; unreadable where it already lies in another one: "19:30 in the morning". */
export function inDayPart(heard: HeardTime, part: DayPart | null): Heard {
  if (part === null) return heard;
  const minuteOfDay = inPart(heard.minuteOfDay % 720, part);
  return heard.halfKnown && minuteOfDay !== heard.minuteOfDay ? { kind: 'unreadable' } : { ...heard, minuteOfDay, halfKnown: true };
}

/** A time of the 12-hour dial in its part of the day. The night runs from six in the evening to six in the morning. */
function inPart(minuteOf12: number, part: DayPart): number {
  const pm = part === 'pm' || (part === 'night' && minuteOf12 >= 360);
  return minuteOf12 + (pm ? 720 : 0);
}
