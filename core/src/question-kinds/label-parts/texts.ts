import type { Tongue } from '../../words/pack.js';

/** What this kind says of itself, in every language of lessons. */
export const TEXTS = {
  en: {
    stem: { dial: 'What is each part of the clock called?', display: 'What is each part of the display called?' },
    parts: {
      'short-hand': 'the hour hand',
      'long-hand': 'the minute hand',
      'second-hand': 'the second hand',
      numeral: 'a numeral',
      tick: 'a minute mark',
      hours: 'the hours',
      colon: 'the colon',
      minutes: 'the minutes',
    },
    are: (names: string) => `So they are called: ${names}.`,
    lookAt: {
      dial: 'The short hand is the hour hand, the long one the minute hand. Look at their tips, too.',
      display: 'The hours stand before the colon, the minutes behind it.',
    },
  },
  de: {
    stem: { dial: 'Wie heißen die Teile der Uhr?', display: 'Wie heißen die Teile der Anzeige?' },
    parts: {
      'short-hand': 'der Stundenzeiger',
      'long-hand': 'der Minutenzeiger',
      'second-hand': 'der Sekundenzeiger',
      numeral: 'eine Zahl',
      tick: 'ein Minutenstrich',
      hours: 'die Stunden',
      colon: 'der Doppelpunkt',
      minutes: 'die Minuten',
    },
    are: (names: string) => `So heißen sie: ${names}.`,
    lookAt: {
      dial: 'Der kurze Zeiger ist der Stundenzeiger, der lange der Minutenzeiger. Schau auch auf die Spitzen.',
      display: 'Die Stunden stehen vor dem Doppelpunkt, die Minuten dahinter.',
    },
  },
} as const satisfies Record<Tongue, object>;
