import type { LessonSettings } from '../../lesson/settings.js';
import { hear } from '../../words/hear.js';
import { WORD_PACKS } from '../../words/registry.js';
import { timesInText } from '../../words/times-in-text.js';
import { toSecondOfDay, SECONDS_PER_HALF_DAY, type SecondOfDay } from '../../time/second-of-day.js';

/** A text that is a time and nothing else. */
export interface TimeText {
  readonly at: SecondOfDay;
  /** How it is given. */
  readonly as: 'display' | 'words';
}

/** The time that a text is, in the words of a lesson; null where it is none, or one with slips. */
export function timeOf(text: string, { pack }: LessonSettings): TimeText | null {
  const heard = hear(text, WORD_PACKS[pack]);
  if (heard.kind !== 'time' || heard.slips > 0 || heard.misconception) return null;
  return { at: toSecondOfDay(heard.minuteOfDay * 60), as: heard.form };
}

/** Times that all of some texts are; null where one of them is none. */
export function timesOf(texts: readonly string[], settings: LessonSettings): TimeText[] | null {
  const times = texts.map((text) => timeOf(text, settings));
  return times.every((one) => one !== null) ? times : null;
}

/** The one time that a sentence speaks of, and how; null where it speaks of none or of several. */
export function timeSpokenOf(text: string, { pack }: LessonSettings): TimeText | null {
  const found = timesInText(text, WORD_PACKS[pack]);
  const [only] = found;
  return only && found.length === 1 ? { at: only.at, as: /\d[:.]\d/.test(text.slice(only.from, only.to)) ? 'display' : 'words' } : null;
}

export const sameOnDial = (one: SecondOfDay, other: SecondOfDay): boolean => one % SECONDS_PER_HALF_DAY === other % SECONDS_PER_HALF_DAY;
