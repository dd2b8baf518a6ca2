import { displayText } from '../../time/display.js';
import { minuteOfHour, wrapSecondOfDay, type SecondOfDay } from '../../time/second-of-day.js';
import type { NewBeat } from '../../beats/registry.js';
import type { Tongue } from '../../words/pack.js';
import type { LessonSettings } from '../../lesson/settings.js';
import type { Demonstration } from './demonstration.js';

const TEXTS = {
  en: {
    start: (time: string) => `It starts at ${time}.`,
    count: 'Count on with me, in fives: how long is it until the end?',
    full: 'Here is the full hour. From here we count on.',
    end: (time: string, minutes: number) => `It ends at ${time}: ${minutes} minutes later.`,
  },
  de: {
    start: (time: string) => `Es fängt um ${time} Uhr an.`,
    count: 'Zählt mit mir in Fünferschritten weiter: Wie lange ist es bis zum Ende?',
    full: 'Jetzt ist die Stunde voll. Von hier zählen wir weiter.',
    end: (time: string, minutes: number) => `Es hört um ${time} Uhr auf: ${minutes} Minuten später.`,
  },
} as const;

/** From a start to an end that lies past the full hour, with a stop there. */
function span(at: SecondOfDay, minutes: number, tongue: Tongue, { separator }: LessonSettings): NewBeat[] {
  const texts = TEXTS[tongue];
  const start = at + minutes * 60 < 86_400 ? at : wrapSecondOfDay(at - 43_200);
  const [toSec, fullSec] = [start + minutes * 60, Math.ceil((start + 1) / 3600) * 3600];
  const stops = fullSec < toSec && minuteOfHour(start) !== 0 ? [{ atSec: fullSec, prompt: texts.full }] : [];
  return [
    { kind: 'set', timeSec: start, display: 'full', words: false, text: texts.start(displayText(start, separator)) },
    { kind: 'layers', layers: {}, bands: ['hour-line-fives'], lasts: false, text: '' },
    { kind: 'sweep', fromSec: start, toSec, turnSeconds: 24, count: 'none', stops, text: texts.count },
    { kind: 'say', text: texts.end(displayText(wrapSecondOfDay(toSec), separator), minutes) },
  ];
}

/** Minutes that an example takes: past the full hour from every start but the full hour itself. */
const EXAMPLE_MIN = 50;

export const spanDemonstration: Demonstration = {
  show: (hour, { tongue, settings }) => span(wrapSecondOfDay(hour * 3600 + 900), 30, tongue, settings),
  example: (at, { tongue, settings }) => span(at, EXAMPLE_MIN, tongue, settings),
};
