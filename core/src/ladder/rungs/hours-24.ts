import type { Rung } from '../rung.js';
import { FIVES } from './fives.js';

/** The hours after noon go on to 24. */
export const hours24: Rung = {
  name: '24-hour clock',
  after: 'day-line',
  minutes: FIVES,
  newMinutes: [0, 15, 30, 45],
  topic: { en: 'the 24-hour clock', de: 'die 24-Stunden-Uhr' },
  criteria: {
    en: ['I add 12 to the hours after noon.', 'I read 15:30 on a display and on a dial.'],
    de: ['Ich zähle 12 zu den Stunden nach dem Mittag dazu.', 'Ich lese 15:30 auf der Anzeige und auf der Uhr.'],
  },
  atHome: {
    en: 'Find times with 13 to 24 on a timetable, a phone or an oven, and say them as we speak: 15 is three in the afternoon.',
    de: 'Sucht Zeiten mit 13 bis 24 auf einem Fahrplan, einem Handy oder am Herd und sagt, wie man sie spricht: 15 Uhr ist drei Uhr nachmittags.',
  },
  misconceptions: ['24-minus-ten', 'am-pm-exchanged', 'midnight-noon-exchanged', 'zero-dropped'],
  words: { en: ['24-hour clock'], de: ['24-Stunden-Uhr'] },
  materials: ['day-strip', 'sheet'],
  // Before noon there is nothing to add.
  exampleHours: [13, 21],
  readsAs: 'of-24',
  demonstration: 'twice-round',
  kinds: ['convert-24', 'read-dial', 'set-dial', 'sensible-time', 'half-of-day', 'order-times', 'units'],
  byMinutes: false,
  goalKinds: ['convert-24', 'sensible-time', 'read-dial', 'set-dial'],
  tricky: [
    { hour: 12, minute: 15, why: { en: 'Just after noon nothing is added yet.', de: 'Kurz nach Mittag wird noch nichts dazugezählt.' } },
    {
      hour: 12,
      minute: 45,
      why: { en: 'Nothing is added in the whole hour after noon.', de: 'In der ganzen Stunde nach Mittag wird nichts dazugezählt.' },
    },
  ],
};
