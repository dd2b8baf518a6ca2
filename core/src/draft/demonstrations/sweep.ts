import type { NewBeat } from '../../beats/registry.js';
import { secondOfDay } from '../../time/second-of-day.js';
import { WORD_PACKS } from '../../words/registry.js';
import { bestWording } from '../../words/say.js';
import type { Demonstration } from './demonstration.js';

const TEXTS = {
  en: {
    from: (hour: number) => `Here it is ${hour} o’clock: the long hand is on 12, the short hand points at ${hour}.`,
    watch: {
      fives: 'Now the time goes on. Count with me, and watch the short hand.',
      ones: 'Now the time goes on tick by tick from twenty. Count with me.',
      quarters: 'Now the time goes on. Watch how far round the long hand goes, and watch the short hand.',
      none: 'Now an hour goes by. Watch both hands.',
    },
    at: (words: string) => `Here it is ${words}.`,
    look: 'Look at the short hand: has it moved?',
    seen: (words: string) => `Now it is ${words}. See where each hand stands.`,
  },
  de: {
    from: (hour: number) => `Hier ist es ${hour} Uhr: Der lange Zeiger steht auf der 12, der kurze auf der ${hour}.`,
    watch: {
      fives: 'Jetzt geht die Zeit weiter. Zählt mit und schaut auf den kurzen Zeiger.',
      ones: 'Jetzt geht die Zeit von zwanzig an Strich für Strich weiter. Zählt mit.',
      quarters: 'Jetzt geht die Zeit weiter. Schaut, wie weit der lange Zeiger herumgeht, und schaut auf den kurzen.',
      none: 'Jetzt vergeht eine Stunde. Schaut auf beide Zeiger.',
    },
    at: (words: string) => `Hier ist es ${words}.`,
    look: 'Schaut auf den kurzen Zeiger: Hat er sich bewegt?',
    seen: (words: string) => `Jetzt ist es ${words}. Schaut, wo jeder Zeiger steht.`,
  },
} as const;

/** A tick a second and a half: as a class counts together. */
const SECONDS_A_TICK = 1.5;
const [TICKS_FROM, TICKS_TO] = [20, 24];

/** From the full hour on to what is new, with a stop on the way to look at the short hand; halves and quarters are drawn. */
export const sweepDemonstration: Demonstration = {
  show(hour, { rung, settings, tongue }) {
    const texts = TEXTS[tongue];
    // Tick by tick only as far as a class can count: from twenty on.
    const isByTicks = rung.newMinutes.some((one) => one % 5 !== 0);
    const [from, minute] = isByTicks ? [TICKS_FROM, TICKS_TO] : [0, rung.newMinutes.at(-1)! || 60];
    const [fromSec, toSec] = [hour * 3600 + from * 60, hour * 3600 + minute * 60];
    const layers = minute === 30 ? { halves: true } : minute % 15 === 0 && minute < 60 ? { quarters: true } : null;
    const stopSec = fromSec + Math.round((minute - from) / 2 / 5) * 300;
    const stops = stopSec > fromSec && stopSec < toSec ? [{ atSec: stopSec, prompt: texts.look }] : [];
    // Halves and quarters are seen, before fives are counted.
    const count = isByTicks ? 'ones' : minute === 60 ? 'none' : minute % 15 === 0 ? 'quarters' : 'fives';
    const wordsAt = (at: number) => bestWording(secondOfDay(hour + (at === 60 ? 1 : 0), at % 60), WORD_PACKS[settings.pack]);
    const beats: NewBeat[] = [
      {
        kind: 'set',
        timeSec: fromSec,
        display: 'full',
        words: true,
        text: from === 0 ? texts.from(hour) : texts.at(wordsAt(from)),
        ...(layers && { layers }),
      },
      { kind: 'sweep', fromSec, toSec, turnSeconds: isByTicks ? SECONDS_A_TICK * 60 : 24, count, stops, text: texts.watch[count] },
      {
        kind: 'mark',
        marks: [
          { type: 'hand', hand: 'hour' },
          { type: 'hand', hand: 'minute' },
        ],
        text: texts.seen(wordsAt(minute)),
      },
    ];
    return beats;
  },
  example: (at) => [{ kind: 'worked-example', timeSec: at }],
};
