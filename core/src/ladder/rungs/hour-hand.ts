import type { Rung } from '../rung.js';
import { FIVES } from './fives.js';

/** About what time it is, from the short hand alone. */
export const hourHand: Rung = {
  name: 'Hour hand alone',
  after: 'any-minute',
  minutes: FIVES,
  newMinutes: [15, 30, 45],
  topic: { en: 'what the short hand alone tells', de: 'was der kurze Zeiger allein verrät' },
  criteria: {
    en: ['I see from the short hand alone about what time it is.', 'I check with the long hand.'],
    de: ['Ich sehe am kurzen Zeiger allein, wie spät es ungefähr ist.', 'Ich prüfe es mit dem langen Zeiger.'],
  },
  atHome: {
    en: 'Cover the long hand with a thumb and guess the time from the short hand alone. Then look how close it was.',
    de: 'Deckt den langen Zeiger mit dem Daumen zu und schätzt die Zeit nur mit dem kurzen. Schaut dann nach, wie nah ihr wart.',
  },
  misconceptions: ['nearest-hour', 'coming-hour', 'hour-hand-halfway', 'one-hour-back'],
  words: { en: ['about', 'a little past', 'close to'], de: ['ungefähr', 'ein Stückchen nach', 'nah an'] },
  materials: ['paper-dial', 'cover'],
  demonstration: 'one-hand',
  kinds: [
    'hour-hand-alone',
    'possible-dial',
    'minute-hand-alone',
    'read-dial',
    'set-dial',
    'choose-one',
    'choose-all',
    'explain-mistake',
    'hands-in-words',
  ],
  byMinutes: false,
  goalKinds: ['hour-hand-alone', 'possible-dial'],
  tricky: [
    {
      hour: 12,
      minute: 45,
      why: {
        en: 'The hand is nearer to the 1, but it is still on its way from 12.',
        de: 'Der Zeiger ist näher bei der 1, kommt aber noch von der 12.',
      },
    },
    {
      hour: 7,
      minute: 55,
      why: { en: 'The hand looks as if it were on the 8 already.', de: 'Der Zeiger sieht aus, als wäre er schon auf der 8.' },
    },
  ],
};
