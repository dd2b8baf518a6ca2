import { withDayPart } from '../../question-kinds/kind-talk.js';
import type { Demonstration } from './demonstration.js';

const TEXTS = {
  en: {
    from: 'Seven in the morning. The line under the clock is the whole day, from midnight to midnight.',
    watch: 'Now the day goes by. Watch the short hand: it goes once round until the evening.',
    noon: 'Twelve: it is noon, and the second round begins.',
    seen: 'Seven again, but in the evening. The clock looks the same, the line does not. In a whole day and night the short hand goes round twice.',
    example: (time: string) => `${time}. See where that is on the line.`,
  },
  de: {
    from: 'Sieben Uhr am Morgen. Die Linie unter der Uhr ist der ganze Tag, von Mitternacht bis Mitternacht.',
    watch: 'Jetzt vergeht der Tag. Schaut auf den kurzen Zeiger: Bis zum Abend geht er einmal herum.',
    noon: 'Zwölf: Es ist Mittag, und die zweite Runde beginnt.',
    seen: 'Wieder sieben Uhr, aber am Abend. Die Uhr sieht gleich aus, die Linie nicht. In einem Tag mit seiner Nacht geht der kurze Zeiger zweimal herum.',
    example: (time: string) => `${time}. Schaut, wo das auf der Linie ist.`,
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
    return [
      { kind: 'set', timeSec: at, display: 'full', words: true, text: TEXTS[tongue].example(withDayPart(at, settings)) },
      { kind: 'layers', layers: {}, bands: BANDS, lasts: false, text: '' },
    ];
  },
};
