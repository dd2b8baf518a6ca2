import type { LessonSettings } from '@zeitpunkt/core/lesson/settings';

/** The schools of practice that a lesson can follow, each with what can be chosen. */
export const SCHOOLS: { readonly [Key in keyof LessonSettings]: readonly LessonSettings[Key][] } = {
  readingOrder: ['hour-first', 'minute-first'],
  betweenRule: ['passed', 'step-back', 'zone'],
  pack: ['en-GB', 'en-US', 'de'],
  separator: [':', '.'],
  strictness: ['right-side', 'proportion', 'exact'],
  wordsPerMinute: [90, 120, 150],
};
