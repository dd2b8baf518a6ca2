import { inTongue } from '../talk/registry.js';
import { minuteHandDeg } from '../dial/pose.js';
import type { Misconception } from './misconception.js';

export const longHandIgnored: Misconception = {
  name: 'Reads only the short hand',
  whatThePupilDoes: 'Reads every dial as a full hour: 7:20 becomes 7:00.',
  sayToPupil: inTongue({
    en: 'Look at the long hand, too: it tells how many minutes have gone.',
    de: 'Schau auch auf den langen Zeiger: Er sagt, wie viele Minuten vorbei sind.',
  }),
  sayWhile: {
    set: inTongue({
      en: 'The long hand has to move, too: it shows the minutes.',
      de: 'Auch der lange Zeiger muss gehen: Er zeigt die Minuten.',
    }),
  },
  howItCame: inTongue({
    en: 'Looked only at the short hand.',
    de: 'Hat nur auf den kurzen Zeiger geschaut.',
  }),
  nextMove: 'Set 7:00 and 7:20 one after the other and ask what has moved, and what that tells.',
  distorts: (acts) => ({
    read: (pose) => acts.read(pose).map(({ hour }) => ({ hour, minute: '00' })),
    // Who knows only full hours puts the short hand on its numeral; hands that move together show the full hour, too.
    set: (at) =>
      acts
        .set(at)
        .map((pose) => (pose.minuteDeg === minuteHandDeg(at) ? { hourDeg: Math.floor(pose.hourDeg / 30) * 30, minuteDeg: 0 } : pose)),
  }),
};
