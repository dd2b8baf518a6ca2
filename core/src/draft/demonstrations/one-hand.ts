import type { Demonstration } from './demonstration.js';

const TEXTS = {
  en: {
    from: (hour: number) => `I hide the long hand. The short hand points at ${hour}: ${hour} o’clock.`,
    watch: 'Now an hour goes by. Watch how the short hand creeps on.',
    look: 'Half way to the next numeral: half an hour has gone.',
    seen: 'So the short hand alone tells about what time it is.',
  },
  de: {
    from: (hour: number) => `Ich verstecke den langen Zeiger. Der kurze steht auf der ${hour}: ${hour} Uhr.`,
    watch: 'Jetzt vergeht eine Stunde. Schaut, wie der kurze Zeiger weiterkriecht.',
    look: 'In der Mitte zur nächsten Zahl: Eine halbe Stunde ist vorbei.',
    seen: 'So verrät der kurze Zeiger allein ungefähr, wie spät es ist.',
  },
} as const;

/** The short hand creeps on for an hour, alone. */
export const oneHandDemonstration: Demonstration = {
  show(hour, { tongue }) {
    const texts = TEXTS[tongue];
    const fromSec = hour * 3600;
    return [
      {
        kind: 'set',
        timeSec: fromSec,
        display: 'none',
        words: false,
        layers: { minuteHand: false, minuteRing: 'none' },
        text: texts.from(hour),
      },
      {
        kind: 'sweep',
        fromSec,
        toSec: fromSec + 3600,
        turnSeconds: 20,
        count: 'none',
        stops: [{ atSec: fromSec + 1800, prompt: texts.look }],
        text: texts.watch,
      },
      { kind: 'mark', marks: [{ type: 'hand', hand: 'hour' }], text: texts.seen },
    ];
  },
  example: (at) => [{ kind: 'missing-hand', timeSec: at, shows: 'hour', text: '' }],
};
