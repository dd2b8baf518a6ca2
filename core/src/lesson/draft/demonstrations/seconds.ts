import { displayText } from '../../../time/display.js';
import { toSecondOfDay, type SecondOfDay } from '../../../time/second-of-day.js';
import { TEACHING_LAYERS } from '../../../scene/dial-state.js';
import { NEW_BUILD } from '../../dial-build.js';
import type { NewBeat } from '../../../beats/registry.js';
import type { LessonSettings } from '../../settings.js';
import type { Demonstration } from './demonstration.js';

const TEXTS = {
  en: {
    third: 'This clock has a third hand, the thinnest. It tells the seconds.',
    half: 'Thirty seconds: half a minute. Sit still and count with me to thirty.',
    minute: 'Sixty seconds are one minute: the long hand has moved on by one tick.',
    example: (time: string, seconds: number) => `${time} and ${seconds} seconds. Read the thin hand last.`,
  },
  de: {
    third: 'Diese Uhr hat einen dritten Zeiger, den dünnsten. Er zeigt die Sekunden.',
    half: 'Dreißig Sekunden: eine halbe Minute. Sitzt still und zählt mit mir bis dreißig.',
    minute: 'Sechzig Sekunden sind eine Minute: Der lange Zeiger ist einen Strich weiter.',
    example: (time: string, seconds: number) => `${time} Uhr und ${seconds} Sekunden. Lies den dünnen Zeiger zuletzt.`,
  },
} as const;

const LAYERS = { ...TEACHING_LAYERS, secondHand: true } as const;

const shown = (timeSec: SecondOfDay, { pack, separator }: LessonSettings, text: string): NewBeat => ({
  kind: 'show',
  build: { ...NEW_BUILD, timeSec, layers: LAYERS, display: 'none', separator, pack, events: [] },
  text,
});

/** Seconds that an example ends with, by its minutes: away from the other hands. */
const secondsAt = (at: SecondOfDay): number => ((Math.floor(at / 300) * 5 + 20) % 12) * 5;

export const secondsDemonstration: Demonstration = {
  show(hour, { settings, tongue }) {
    const texts = TEXTS[tongue];
    const at = (sec: number) => toSecondOfDay(hour * 3600 + sec);
    return [shown(at(0), settings, texts.third), shown(at(30), settings, texts.half), shown(at(60), settings, texts.minute)];
  },
  example: (at, { settings, tongue }) => {
    const seconds = secondsAt(at);
    return [shown(toSecondOfDay(at + seconds), settings, TEXTS[tongue].example(displayText(at, settings.separator), seconds))];
  },
};
