import type { NewBeat } from '../../../beats/registry.js';
import { secondOfDay } from '../../../time/second-of-day.js';
import { WORD_PACKS } from '../../../words/registry.js';
import { bestWording } from '../../../words/say.js';
import type { Demonstration } from './demonstration.js';

const TEXTS = {
  en: {
    from: (hour: number) => `Here it is ${hour} o’clock: the long hand is on 12, the short hand points at ${hour}.`,
    watch: 'Now the time goes on. Count with me, and watch the short hand.',
    look: 'Look at the short hand: has it moved?',
    seen: (words: string) => `Now it is ${words}. See where each hand stands.`,
  },
  de: {
    from: (hour: number) => `Hier ist es ${hour} Uhr: Der lange Zeiger steht auf der 12, der kurze auf der ${hour}.`,
    watch: 'Jetzt geht die Zeit weiter. Zählt mit und schaut auf den kurzen Zeiger.',
    look: 'Schaut auf den kurzen Zeiger: Hat er sich bewegt?',
    seen: (words: string) => `Jetzt ist es ${words}. Schaut, wo jeder Zeiger steht.`,
  },
} as const;

/** From the full hour on to what is new, with a stop on the way to look at the short hand; halves and quarters are drawn. */
export const sweepDemonstration: Demonstration = {
  show(hour, { rung, settings, tongue }) {
    const texts = TEXTS[tongue];
    const minute = rung.newMinutes.at(-1)! || 60;
    const [fromSec, toSec] = [hour * 3600, hour * 3600 + minute * 60];
    const layers = minute === 30 ? { halves: true } : minute % 15 === 0 && minute < 60 ? { quarters: true } : null;
    const stopSec = fromSec + Math.round(minute / 2 / 5) * 300;
    const stops = stopSec > fromSec && stopSec < toSec ? [{ atSec: stopSec, prompt: texts.look }] : [];
    const count = minute % 5 === 0 ? ('fives' as const) : ('ones' as const);
    const words = bestWording(secondOfDay(hour + (minute === 60 ? 1 : 0), minute % 60), WORD_PACKS[settings.pack]);
    const beats: NewBeat[] = [
      { kind: 'set', timeSec: fromSec, display: 'full', words: true, text: texts.from(hour), ...(layers && { layers }) },
      { kind: 'sweep', fromSec, toSec, turnSeconds: 24, count, stops, text: texts.watch },
      {
        kind: 'mark',
        marks: [
          { type: 'hand', hand: 'hour' },
          { type: 'hand', hand: 'minute' },
        ],
        text: texts.seen(words),
      },
    ];
    return beats;
  },
  example: (at) => [{ kind: 'worked-example', timeSec: at }],
};
