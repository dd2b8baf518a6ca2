import type { LessonSettings } from '../lesson/settings.js';
import { kindOf, type Item } from './registry.js';

/** The key with its reason as a teacher reads it out; nothing is said twice. */
export function spokenAnswer(item: Item, settings: LessonSettings): string {
  const kind = kindOf(item);
  return [...new Set([...kind.reason(item, settings), kind.keySentence(item, settings)])].join(' ');
}
