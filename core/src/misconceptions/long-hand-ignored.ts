import { inTongue } from '../lesson/talk/registry.js';
import { minuteHandDeg } from '../dial/pose.js';
import type { Misconception } from './misconception.js';

export const longHandIgnored: Misconception = {
  name: 'Only the short hand is read',
  whatThePupilDoes: 'Reads every dial as a full hour: 7:20 becomes 7:00.',
  sayToPupil: inTongue({
    en: 'You have the hour. Now look at the long hand, too: it tells how many minutes have gone.',
    de: 'Die Stunde hast du. Schau jetzt auch auf den langen Zeiger: Er sagt, wie viele Minuten vorbei sind.',
  }),
  sayWhile: {
    set: inTongue({
      en: 'Your short hand has its hour. The long hand has to move, too: it shows the minutes.',
      de: 'Dein kurzer Zeiger hat seine Stunde. Auch der lange muss gehen: Er zeigt die Minuten.',
    }),
  },
  howItCame: inTongue({
    en: 'Looked only at the short hand.',
    de: 'Hat nur auf den kurzen Zeiger geschaut.',
  }),
  nextMove: 'Set 7:00 and 7:20 one after the other and ask what has moved, and what that tells.',
  distorts: (acts) => ({
    read: (pose) => acts.read(pose).map(({ hour }) => ({ hour, minute: '00' })),
    set: (at) => acts.set(at).map((pose) => (pose.minuteDeg === minuteHandDeg(at) ? { ...pose, minuteDeg: 0 } : pose)),
  }),
};
