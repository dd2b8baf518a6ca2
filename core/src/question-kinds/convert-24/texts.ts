import type { Tongue } from '../../words/pack.js';

/** What this kind says of itself, in every language of lessons. */
export const TEXTS = {
  en: {
    to24: (time: string) => `Write ${time} on the 24-hour display.`,
    to12: (time: string) => `Write ${time} as a display of 12 hours shows it.`,
    afterNoon: (of24: number, of12: number) =>
      `After noon the hours go on: ${of12} in the afternoon is ${of24}, because ${of12} and 12 make ${of24}.`,
    back: (of24: number, of12: number) => `From 13 on take 12 away: ${of24} is ${of12}.`,
    beforeNoon: (of24: string, of12: number) => `Before 13 the hour stays: ${of24} is ${of12}.`,
    midnight: 'Midnight begins the day: the first hour is written 00.',
    lookAt: 'Is it before noon or after noon? After noon the two displays are 12 hours apart.',
  },
  de: {
    to24: (time: string) => `Schreibe ${time} auf die 24-Stunden-Anzeige.`,
    to12: (time: string) => `Schreibe ${time} so, wie es eine 12-Stunden-Anzeige zeigt.`,
    afterNoon: (of24: number, of12: number) =>
      `Nach Mittag gehen die Stunden weiter: ${of12} Uhr nachmittags ist ${of24} Uhr, denn ${of12} und 12 sind ${of24}.`,
    back: (of24: number, of12: number) => `Ab 13 ziehst du 12 ab: ${of24} ist ${of12}.`,
    beforeNoon: (of24: string, of12: number) => `Vor 13 bleibt die Stunde: ${of24} ist ${of12}.`,
    midnight: 'Mit Mitternacht fängt der Tag an: Die erste Stunde schreibt man 00.',
    lookAt: 'Ist es vor Mittag oder nach Mittag? Nach Mittag liegen die beiden Anzeigen 12 Stunden auseinander.',
  },
} as const satisfies Record<Tongue, object>;
