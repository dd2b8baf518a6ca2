import { gearedPose, wrapDeg } from '../dial/pose.js';
import type { LessonSettings } from '../lesson/settings.js';
import { toSecondOfDay } from '../time/second-of-day.js';
import { NOT_SURE } from './not-sure.js';
import { canBeGiven, kindOf, type Item, type Response } from './registry.js';
import type { ShapeId } from './shapes/shape.js';

// Answers that a teacher types in for a pupil, from paper or as they were spoken: a few signs for each way of answering.

/** What to type for each shape, as an example. */
export const TYPED_EXAMPLES: Record<ShapeId, string> = {
  time: '7:30',
  times: '7:30, 8:00',
  numbers: '5, 10, 15',
  words: 'half past seven',
  choices: 'B, or A C',
  order: 'B A C',
  pairs: 'A2 B1 C-',
  line: '9:30',
  pose: '7:30, or 8/6 for hands on 8 and 6',
};

/** Members of a response beside its kind. */
type Given = Readonly<Record<string, unknown>>;

const PARSERS: Record<ShapeId, (text: string) => Given | null> = {
  time: (text) => typedTime(text),
  times: (text) => {
    const times = text.split(/[,;]\s*/).map(typedTime);
    return times.includes(null) ? null : { times };
  },
  numbers: (text) => (/^[\d\s,;_-]+$/.test(text) ? { values: text.split(/[\s,;]+/).map((one) => one.replace(/[_-]/g, '')) } : null),
  words: (text) => ({ lines: text.split(/\s*\/\s*/) }),
  choices: (text) => lettersIn(text, (chosen) => ({ chosen })),
  order: (text) => lettersIn(text, (order) => ({ order })),
  pairs: (text) => {
    const pairs = [...text.toUpperCase().matchAll(/([A-L])\s*(\d{1,2}|[-–])/g)];
    const byCard = pairs.map(([, letter, partner]) => [placeOf(letter!), /\d/.test(partner!) ? Number(partner) - 1 : null] as const);
    const isWhole = byCard.length > 0 && byCard.every(([card], place) => card === place);
    return isWhole ? { pairs: byCard.map(([, partner]) => partner) } : null;
  },
  line: (text) => {
    const time = typedTime(text);
    return time && time.minute !== '' ? { atSec: Number(time.hour) * 3600 + Number(time.minute) * 60 } : null;
  },
  pose: (text) => {
    const hands = /^(\d{1,2}(?:\.\d+)?)\s*\/\s*(\d{1,2}(?:\.\d+)?)$/.exec(text);
    if (hands) return { hourDeg: wrapDeg(Number(hands[1]) * 30), minuteDeg: wrapDeg(Number(hands[2]) * 30) };
    const time = typedTime(text);
    if (!time || time.minute === '') return null;
    const [hour, minute] = [Number(time.hour), Number(time.minute)];
    return hour < 24 && minute < 60 ? { ...gearedPose(toSecondOfDay(hour * 3600 + minute * 60)) } : null;
  },
};

/**
 * What a teacher typed as a response to an item: "?" for a pupil who was not sure, otherwise as {@link TYPED_EXAMPLES} show.
 * @returns null for what is no answer to this item
 */
export function typedResponse(item: Item, text: string, settings: LessonSettings): Response | null {
  const typed = text.trim();
  if (typed === '?') return NOT_SURE;
  const given = typed === '' ? null : PARSERS[kindOf(item).shape](typed);
  if (!given) return null;
  const response = { kind: item.kind, ...given } as Response;
  return canBeGiven(item, response, settings) ? response : null;
}

/** "7:30", "7.30", "7 30" or "730", a length as "3 h 5 min"; an hour alone leaves the minutes out. */
const TYPED_TIMES = [
  /^(\d{1,2})(?:\s*[:.,]\s*|\s+)(\d{1,2})$/,
  /^(\d{1,2})\s*h\s*(\d{1,2})(?:\s*min)?$/,
  /^(\d{1,2})(\d{2})$/,
  /^(\d{1,2})()$/,
];

function typedTime(text: string): { readonly hour: string; readonly minute: string } | null {
  const parts = TYPED_TIMES.map((form) => form.exec(text.trim())).find((one) => one !== null);
  return parts ? { hour: parts[1]!, minute: parts[2]! } : null;
}

function lettersIn(text: string, make: (places: number[]) => Given): Given | null {
  if (!/^[a-l\s,]+$/i.test(text)) return null;
  return make([...text.toUpperCase().replace(/[\s,]/g, '')].map(placeOf));
}

const placeOf = (letter: string) => letter.charCodeAt(0) - 65;
