import type { SecondOfDay } from '../time/second-of-day.js';
import type { LessonSettings } from '../lesson/settings.js';
import { talkOf } from './registry.js';

/** The reason for a time in the order the lesson reads the hands: two sentences. */
export function reasonFor(at: SecondOfDay, settings: LessonSettings): string[] {
  const talk = talkOf(settings);
  const sentences = [talk.hourReason(at, settings.betweenRule), talk.minuteReason(at)];
  return settings.readingOrder === 'hour-first' ? sentences : sentences.reverse();
}
