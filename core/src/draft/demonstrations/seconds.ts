import { displayText } from '../../time/display.js';
import { hour24, minuteOfHour, toSecondOfDay, type SecondOfDay } from '../../time/second-of-day.js';
import { TEACHING_LAYERS } from '../../scene/dial-state.js';
import { NEW_BUILD } from '../../stage/dial-build.js';
import type { NewBeat } from '../../beats/registry.js';
import type { LessonSettings } from '../../lesson/settings.js';
import type { RungTimes } from '../../ladder/rung-times.js';
import type { Demonstration } from './demonstration.js';

const TEXTS = {
  en: {
    third: 'This clock has a third hand, the thinnest. It tells the seconds.',
    half: 'Thirty seconds: half a minute. The thin hand has gone half way round.',
    minute: 'Sixty seconds are one minute: the long hand has moved on by one tick.',
    example: (time: string, seconds: number) =>
      seconds === 0 ? `${time} exactly: no seconds yet.` : `${time} and ${seconds} seconds. Read the thin hand last.`,
  },
  de: {
    third: 'Diese Uhr hat einen dritten Zeiger, den dünnsten. Er zeigt die Sekunden.',
    half: 'Dreißig Sekunden: eine halbe Minute. Der dünne Zeiger ist halb herum.',
    minute: 'Sechzig Sekunden sind eine Minute: Der lange Zeiger ist einen Strich weiter.',
    example: (time: string, seconds: number) =>
      seconds === 0 ? `Genau ${time} Uhr: noch keine Sekunde.` : `${time} Uhr und ${seconds} Sekunden. Lies den dünnen Zeiger zuletzt.`,
  },
} as const;

const LAYERS = { ...TEACHING_LAYERS, secondHand: true } as const;

const shown = (timeSec: SecondOfDay, { pack, separator }: LessonSettings, text: string): NewBeat => ({
  kind: 'show',
  build: { ...NEW_BUILD, timeSec, layers: LAYERS, display: 'none', separator, pack, events: [] },
  text,
});

/** Seconds that an example ends with: of the tricky times so that hands hide each other, else away from the other hands. */
function secondsAt(at: SecondOfDay, { tricky }: RungTimes): number {
  const minute = minuteOfHour(at);
  if (tricky.some((one) => one.hour % 12 === hour24(at) % 12 && one.minute === minute)) return minute;
  return (Math.floor(minute / 5) * 5 + 20) % 60;
}

export const secondsDemonstration: Demonstration = {
  show(hour, { settings, tongue }) {
    const texts = TEXTS[tongue];
    const at = (sec: number) => toSecondOfDay(hour * 3600 + sec);
    return [shown(at(0), settings, texts.third), shown(at(30), settings, texts.half), shown(at(60), settings, texts.minute)];
  },
  example: (at, { settings, tongue, rung }) => {
    const seconds = secondsAt(at, rung);
    return [shown(toSecondOfDay(at + seconds), settings, TEXTS[tongue].example(displayText(at, settings.separator), seconds))];
  },
};
