import type { Tongue } from '../../words/pack.js';

/** What this kind says of itself, in every language of lessons. */
export const TEXTS = {
  en: {
    to24: (time: string) => `It is ${time}. Write what a clock that counts to 24 shows.`,
    to12: (time: string) => `One clock shows ${time}. Write what a clock that counts to 12 shows.`,
    on: {
      midnight: 'Midnight begins the day: its first hour is written 00.',
      before: (of12: number, written: string) => `Before noon the hour stays the same, with two digits: ${of12} is ${written}.`,
      noon: 'The hour that begins at noon is 12 on both displays.',
      after: (of12: number, of24: number, part: string) =>
        `After noon the hours go on: ${of12} ${part} is ${of24}, because 12 and ${of12} make ${of24}.`,
    },
    back: {
      midnight: 'The hour 00 begins at midnight: on a display of 12 hours it is 12.',
      before: (of12: number, written: string) => `Before noon the hour stays the same: ${written} is ${of12}.`,
      noon: 'The hour that begins at noon is 12 on both displays.',
      after: (of12: number, of24: number, part: string) => `From 13 on take 12 away: ${of24} is ${of12} ${part}.`,
    },
    sameMinutes: 'The minutes stay the same on both displays.',
    lookAt: 'Is it before noon or after noon? After noon the two displays are 12 hours apart.',
  },
  de: {
    to24: (time: string) => `Es ist ${time}. Schreib, was eine Uhr zeigt, die bis 24 zählt.`,
    to12: (time: string) => `Eine Uhr zeigt ${time}. Schreib, was eine Uhr zeigt, die bis 12 zählt.`,
    on: {
      midnight: 'Mit Mitternacht fängt der Tag an: Seine erste Stunde schreibt man 00.',
      before: (of12: number, written: string) => `Vor Mittag bleibt die Stunde gleich, mit zwei Ziffern: ${of12} ist ${written}.`,
      noon: 'Die Stunde, die mittags anfängt, heißt auf beiden Anzeigen 12.',
      after: (of12: number, of24: number, part: string) =>
        `Nach Mittag zählen die Stunden weiter: ${of12} Uhr ${part} ist ${of24} Uhr, denn 12 und ${of12} sind ${of24}.`,
    },
    back: {
      midnight: 'Die Stunde 00 fängt um Mitternacht an: Auf einer 12-Stunden-Anzeige heißt sie 12.',
      before: (of12: number, written: string) => `Vor Mittag bleibt die Stunde gleich: ${written} ist ${of12}.`,
      noon: 'Die Stunde, die mittags anfängt, heißt auf beiden Anzeigen 12.',
      after: (of12: number, of24: number, part: string) => `Ab 13 ziehst du 12 ab: ${of24} Uhr ist ${of12} Uhr ${part}.`,
    },
    sameMinutes: 'Die Minuten sind auf beiden Anzeigen gleich.',
    lookAt: 'Ist es vor Mittag oder nach Mittag? Nach Mittag liegen die beiden Anzeigen 12 Stunden auseinander.',
  },
} as const satisfies Record<Tongue, object>;
