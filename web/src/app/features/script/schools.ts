import type { LessonSettings } from '@zeitpunkt/core';

type Options<Key extends keyof LessonSettings> = readonly { readonly value: LessonSettings[Key]; readonly text: string }[];

/** The schools of practice that a lesson can follow, as its sheet names them. */
export const SCHOOLS: { readonly [Key in keyof LessonSettings]: Options<Key> } = {
  readingOrder: [
    { value: 'hour-first', text: 'hour first' },
    { value: 'minute-first', text: 'minutes first' },
  ],
  betweenRule: [
    { value: 'passed', text: 'the one it has passed' },
    { value: 'step-back', text: 'step back to the one before' },
    { value: 'zone', text: 'the zone the hour owns' },
  ],
  pack: [
    { value: 'en-GB', text: 'British' },
    { value: 'en-US', text: 'American' },
    { value: 'de', text: 'German' },
  ],
  separator: [
    { value: ':', text: '7:30' },
    { value: '.', text: '7.30' },
  ],
  strictness: [
    { value: 'right-side', text: 'on the right hour’s side' },
    { value: 'proportion', text: 'in proportion' },
    { value: 'exact', text: 'exact' },
  ],
  wordsPerMinute: [
    { value: 90, text: 'slow' },
    { value: 120, text: 'usual' },
    { value: 150, text: 'quick' },
  ],
};
