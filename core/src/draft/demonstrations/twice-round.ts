import { withDayPart } from '../../question-kinds/kind-talk.js';
import { displayText24 } from '../../time/display.js';
import { hour24, toSecondOfDay, type SecondOfDay } from '../../time/second-of-day.js';
import { TEACHING_LAYERS } from '../../scene/dial-state.js';
import { NEW_BUILD } from '../../stage/dial-build.js';
import type { NewBeat } from '../../beats/registry.js';
import type { LessonSettings } from '../../lesson/settings.js';
import type { Demonstration } from './demonstration.js';

const TEXTS = {
  en: {
    noon: 'Noon: twelve hours have gone. After noon the hours go on: 13, 14, 15, up to 24.',
    on: 'One in the afternoon is 13:00: twelve and one more.',
    example: (time: string, of24: string, hour: number) => {
      if (hour === 0) return `${time} is ${of24}: the first hour of the day is 00.`;
      if (hour <= 12) return `${time} stays ${of24}: before one in the afternoon nothing is added.`;
      return `${time}: 12 and ${hour - 12} make ${hour}, so it is ${of24}.`;
    },
  },
  de: {
    noon: 'Mittag: Zwölf Stunden sind vorbei. Nach dem Mittag zählen die Stunden weiter: 13, 14, 15, bis 24.',
    on: 'Ein Uhr mittags ist 13 Uhr: zwölf und eins dazu.',
    example: (time: string, of24: string, hour: number) => {
      if (hour === 0) return `${time} ist ${of24}: Die erste Stunde des Tages ist 00.`;
      if (hour <= 12) return `${time} bleibt ${of24}: Vor ein Uhr mittags wird nichts dazugezählt.`;
      return `${time}: 12 und ${hour - 12} sind ${hour}, also ist es ${of24}.`;
    },
  },
} as const;

const LAYERS = { ...TEACHING_LAYERS, ring24: true, minuteRing: 'none' } as const;

/** A dial with the hours 13 to 24 inside, and a display of 24 hours. */
const shown = (timeSec: SecondOfDay, { pack, separator }: LessonSettings, text: string): NewBeat => ({
  kind: 'show',
  build: { ...NEW_BUILD, timeSec, layers: LAYERS, display: '24h', separator, pack, events: [] },
  text,
});

/** Past noon the hours go on to 24. */
export const twiceRoundDemonstration: Demonstration = {
  show: (_hour, { settings, tongue }) => [
    shown(toSecondOfDay(12 * 3600), settings, TEXTS[tongue].noon),
    shown(toSecondOfDay(13 * 3600), settings, TEXTS[tongue].on),
  ],
  example: (at, { settings, tongue }) => {
    const of24 = displayText24(at).replace(':', settings.separator);
    return [shown(at, settings, TEXTS[tongue].example(withDayPart(at, settings), of24, hour24(at)))];
  },
};
