import type { Rung } from '../rung.js';
import { FIVES } from './fives.js';

/** The third hand: 60 seconds are a minute. */
export const seconds: Rung = {
  name: 'Seconds',
  after: 'durations',
  minutes: FIVES,
  newMinutes: [0, 20, 40],
  topic: { en: 'seconds', de: 'Sekunden' },
  criteria: {
    en: ['I tell the second hand from the others.', 'I know that 60 seconds are one minute.'],
    de: ['Ich erkenne den Sekundenzeiger.', 'Ich weiß, dass 60 Sekunden eine Minute sind.'],
  },
  atHome: {
    en: 'Count seconds together: how long does it take to tie a shoe, to fill a glass, to walk to the door?',
    de: 'Zählt zusammen Sekunden: Wie lange dauert es, einen Schuh zu binden, ein Glas zu füllen, zur Tür zu gehen?',
  },
  misconceptions: ['numeral-as-minutes', 'hour-as-hundred', 'hands-exchanged', 'sixty-at-top'],
  words: { en: ['second', 'second hand'], de: ['Sekunde', 'Sekundenzeiger'] },
  materials: ['sheet'],
  demonstration: 'seconds',
  kinds: ['second-hand', 'units', 'label-parts', 'read-dial', 'set-dial', 'choose-all'],
  byMinutes: false,
  goalKinds: ['second-hand', 'units', 'label-parts'],
  tricky: [
    { hour: 12, minute: 0, why: { en: 'All three hands are on the 12.', de: 'Alle drei Zeiger stehen auf der 12.' } },
    { hour: 3, minute: 40, why: { en: 'The thin hand nearly hides the long one.', de: 'Der dünne Zeiger verdeckt den langen fast.' } },
  ],
};
