import type { Tongue } from '../../words/pack.js';

/** What this kind says of itself, in every language of lessons. */
export const TEXTS = {
  en: {
    stem: (event: string, time: string) => `${event} at ${time}. Is that before noon or after noon?`,
    am: 'before noon (a.m.)',
    pm: 'after noon (p.m.)',
    isAm: 'It is before noon: between midnight and noon.',
    isPm: 'It is after noon: between noon and midnight.',
    isNoon: 'It is noon itself: the second half of the day begins.',
    isMidnight: 'It is midnight itself: the day begins.',
    lookAt: 'Think of lunch: does this happen before it or after it, or while everybody sleeps?',
  },
  de: {
    stem: (event: string, time: string) => `${event}, um ${time}. Ist das vor Mittag oder nach Mittag?`,
    am: 'vor Mittag',
    pm: 'nach Mittag',
    isAm: 'Es ist vor Mittag: zwischen Mitternacht und Mittag.',
    isPm: 'Es ist nach Mittag: zwischen Mittag und Mitternacht.',
    isNoon: 'Es ist genau Mittag: Die zweite Hälfte des Tages fängt an.',
    isMidnight: 'Es ist genau Mitternacht: Der Tag fängt an.',
    lookAt: 'Denk an das Mittagessen: Geschieht es davor oder danach, oder wenn alle schlafen?',
  },
} as const satisfies Record<Tongue, object>;
