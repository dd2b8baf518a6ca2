import type { HalfOfDay } from '../../time/occurrence.js';
import type { Tongue } from '../../words/pack.js';

/** What this kind says of itself, in every language of lessons. */
export const TEXTS = {
  en: {
    stem: 'What time is it?',
    of24: (half: HalfOfDay) => `It is ${half === 'am' ? 'before noon' : 'after noon'}. What does a 24-hour clock show at this time?`,
    to24: (of12: number, of24: number) =>
      of24 === 0
        ? 'It is just after midnight: the first hour of the day is 00.'
        : of24 <= 12
          ? `Before 13 the hour stays the same: ${of12} is ${String(of24).padStart(2, '0')}.`
          : `After noon add 12 to the hour: 12 and ${of12} make ${of24}.`,
    right: (time: string) => `Yes, it is ${time}. You read both hands.`,
    otherForm: (time: string) => `That is the right time. A display of 12 hours shows it as ${time}.`,
  },
  de: {
    stem: 'Wie spät ist es?',
    of24: (half: HalfOfDay) => `Es ist ${half === 'am' ? 'vor Mittag' : 'nach Mittag'}. Was zeigt eine 24-Stunden-Uhr zu dieser Zeit?`,
    to24: (of12: number, of24: number) =>
      of24 === 0
        ? 'Es ist kurz nach Mitternacht: Die erste Stunde des Tages ist 00.'
        : of24 <= 12
          ? `Vor 13 bleibt die Stunde gleich: ${of12} ist ${String(of24).padStart(2, '0')}.`
          : `Nach Mittag zählst du 12 zur Stunde dazu: 12 und ${of12} sind ${of24}.`,
    right: (time: string) => `Ja, es ist ${time} Uhr. Du hast beide Zeiger gelesen.`,
    otherForm: (time: string) => `Die Zeit stimmt. Eine 12-Stunden-Anzeige zeigt sie so: ${time}.`,
  },
} as const satisfies Record<Tongue, object>;
