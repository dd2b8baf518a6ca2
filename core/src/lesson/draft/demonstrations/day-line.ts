import { hour24 } from '../../../time/second-of-day.js';
import { displayText } from '../../../time/display.js';
import type { Demonstration } from './demonstration.js';

const TEXTS = {
  en: {
    from: 'Seven in the morning. The line under the clock is the whole day, from midnight to midnight.',
    watch: 'Now the day goes by. Watch the short hand: how often does it go round?',
    noon: 'Twelve: it is noon, and the second round begins.',
    seen: 'Seven again, but in the evening. The clock looks the same, the line does not.',
    example: (time: string, half: 'morning' | 'afternoon') => `${time} in the ${half}. See where that is on the line.`,
  },
  de: {
    from: 'Sieben Uhr am Morgen. Die Linie unter der Uhr ist der ganze Tag, von Mitternacht bis Mitternacht.',
    watch: 'Jetzt vergeht der Tag. Schaut auf den kurzen Zeiger: Wie oft geht er herum?',
    noon: 'Zwölf: Es ist Mittag, und die zweite Runde beginnt.',
    seen: 'Wieder sieben Uhr, aber am Abend. Die Uhr sieht gleich aus, die Linie nicht.',
    example: (time: string, half: 'morning' | 'afternoon') =>
      `${time} Uhr am ${half === 'morning' ? 'Vormittag' : 'Nachmittag'}. Schaut, wo das auf der Linie ist.`,
  },
} as const;

const BANDS = ['day-line'] as const;

/** Twice round the dial, with the day on a line under it. */
export const dayLineDemonstration: Demonstration = {
  show(_hour, { tongue }) {
    const texts = TEXTS[tongue];
    return [
      { kind: 'set', timeSec: 7 * 3600, display: 'full', words: false, text: texts.from },
      { kind: 'layers', layers: {}, bands: BANDS, lasts: false, text: '' },
      {
        kind: 'sweep',
        fromSec: 7 * 3600,
        toSec: 19 * 3600,
        turnSeconds: 5,
        count: 'none',
        stops: [{ atSec: 12 * 3600, prompt: texts.noon }],
        text: texts.watch,
      },
      { kind: 'say', text: texts.seen },
    ];
  },
  example(at, { tongue, settings }) {
    const half = hour24(at) < 12 ? 'morning' : 'afternoon';
    return [
      { kind: 'set', timeSec: at, display: 'full', words: true, text: TEXTS[tongue].example(displayText(at, settings.separator), half) },
      { kind: 'layers', layers: {}, bands: BANDS, lasts: false, text: '' },
    ];
  },
};
