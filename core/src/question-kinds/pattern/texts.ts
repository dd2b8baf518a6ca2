import { listed } from '../../words/listed.js';
import type { Tongue } from '../../words/pack.js';

/** What this kind says of itself, in every language of lessons. */
export const TEXTS = {
  en: {
    stem: 'Which times are missing in this row?',
    are: (times: readonly string[]) =>
      times.length === 1 ? `The missing time is ${times[0]}.` : `The missing times are ${listed(times, 'en')}.`,
    step: (minutes: string) => `Each is ${minutes} after the one before.`,
    back: (minutes: string) => `Each is ${minutes} before the one before it.`,
    minutes: (count: number) => (count % 60 === 0 ? `${count / 60} ${count === 60 ? 'hour' : 'hours'}` : `${count} minutes`),
    lookAt: 'How far is it from one time to the next? Go on by the same, and after 12 begin at 1.',
  },
  de: {
    stem: 'Welche Zeiten fehlen in dieser Reihe?',
    are: (times: readonly string[]) => `Es ${times.length === 1 ? 'fehlt' : 'fehlen'} ${listed(times, 'de')}.`,
    step: (minutes: string) => `Jede ist ${minutes} nach der davor.`,
    back: (minutes: string) => `Jede ist ${minutes} vor der davor.`,
    minutes: (count: number) => (count % 60 === 0 ? `${count / 60} ${count === 60 ? 'Stunde' : 'Stunden'}` : `${count} Minuten`),
    lookAt: 'Wie weit ist es von einer Zeit zur nächsten? Geh ebenso weiter, und nach 12 fang bei 1 an.',
  },
} as const satisfies Record<Tongue, object>;
