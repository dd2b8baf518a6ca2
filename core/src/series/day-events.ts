import { displayText24 } from '../time/display.js';
import { toSecondOfDay } from '../time/second-of-day.js';
import { hear } from '../words/hear.js';
import type { WordPack } from '../words/pack.js';

/** Something that happens in the pupils' day. */
export interface DayEvent {
  readonly atSec: number;
  readonly text: string;
}

export type DayEventsEntry = { readonly events: readonly DayEvent[] } | { readonly problem: string };

export const MOST_EVENTS = 12;
const LONGEST_EVENT = 40;

/**
 * Reads events as a teacher types them, one a line, the time first: "7:30 school ferry", "half past 4 mail boat", "20:00 lamp
 * lit". A time whose half of the day is left open is taken from a child's day: from 6 in the morning to before 6 in the evening.
 */
export function readDayEvents(text: string, pack: WordPack): DayEventsEntry {
  const events: DayEvent[] = [];
  for (const [index, line] of text.split('\n').entries()) {
    if (line.trim() === '') continue;
    const event = readLine(line.trim(), pack);
    if (!event)
      return {
        problem: `Line ${index + 1}, “${line.trim().slice(0, 40)}”: write the time first, then what happens, such as 16:30 mail boat.`,
      };
    if (event.text.length > LONGEST_EVENT) return { problem: `Line ${index + 1}: what happens must fit in ${LONGEST_EVENT} letters.` };
    events.push(event);
  }
  if (events.length > MOST_EVENTS) return { problem: `At most ${MOST_EVENTS} events fit on the day line; ${events.length} came.` };
  return { events };
}

/** Events as they would be typed. */
export function dayEventsText(events: readonly DayEvent[]): string {
  return events.map(({ atSec, text }) => `${displayText24(toSecondOfDay(atSec))} ${text}`).join('\n');
}

/**
 * Whether a beginning of the line takes in a word of what happens: the evening of an "evening choir", the ten of "7 ten pin
 * bowling". Parts of the day belong to a time behind "in the" and "at", number words behind number words.
 */
function takesWhatHappens(words: readonly string[], pack: WordPack): boolean {
  const [before = '', last = ''] = words.slice(-2).map((word) => word.toLowerCase());
  const isNoun = /^(morning|afternoon|evening|night|morgen|abend|nachmittag|vormittag|nacht)$/.test(last);
  if (isNoun) return !pack.fillers.includes(before);
  return words.length === 2 && /^\d+$/.test(before) && pack.numbers.includes(last);
}

/** The longest beginning of the line that is a time, and the rest as what happens. */
function readLine(line: string, pack: WordPack): DayEvent | null {
  const words = line.split(/\s+/);
  for (let count = words.length - 1; count > 0; count--) {
    const heard = hear(words.slice(0, count).join(' '), pack);
    if (heard.kind === 'unreadable' || heard.misconception || takesWhatHappens(words.slice(0, count), pack)) continue;
    const open = !heard.halfKnown;
    const minute = open && heard.minuteOfDay < 360 ? heard.minuteOfDay + 720 : heard.minuteOfDay;
    return { atSec: minute * 60, text: words.slice(count).join(' ') };
  }
  return null;
}
