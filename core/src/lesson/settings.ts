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

/** How long a text takes to say at the lesson's pace, in milliseconds. */
export function narrationMs(text: string, settings: LessonSettings): number {
  const words = text.split(/\s+/).filter(Boolean).length;
  return Math.round((words * 60_000) / settings.wordsPerMinute);
}
