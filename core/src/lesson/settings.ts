import type { Strictness } from '../dial/coherence.js';
import type { DisplaySeparator } from '../time/display.js';
import type { WordPackId } from '../words/registry.js';

/** The schools of practice a lesson follows; every generated example, reason and mark obeys them. */
export interface LessonSettings {
  readonly readingOrder: 'hour-first' | 'minute-first';
  /** How the hour is found when the hour hand stands between two numerals; three wordings of one sound rule. */
  readonly betweenRule: 'passed' | 'step-back' | 'zone';
  readonly pack: WordPackId;
  readonly separator: DisplaySeparator;
  /** How exactly the hour hand of a set dial must stand. */
  readonly strictness: Strictness;
  /** Pace of narration in words a minute, 60 to 240. */
  readonly wordsPerMinute: number;
}

export const DEFAULT_SETTINGS: LessonSettings = {
  readingOrder: 'hour-first',
  betweenRule: 'passed',
  pack: 'en-GB',
  separator: ':',
  strictness: 'right-side',
  wordsPerMinute: 120,
};

/** How many words a text has, as they are counted for the time it takes to say them. */
export function wordCount(text: string): number {
  return text.split(/\s+/).filter(Boolean).length;
}

/** How long a text takes to say at the lesson's pace, in milliseconds. */
export function narrationMs(text: string, settings: LessonSettings): number {
  return Math.round((wordCount(text) * 60_000) / settings.wordsPerMinute);
}
