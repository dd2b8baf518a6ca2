import { inTongue } from '../talk/registry.js';
import { previousHour12 } from '../time/second-of-day.js';
import type { Misconception } from './misconception.js';

export const sixtyAtTheTop: Misconception = {
  name: 'Says sixty at the top',
  whatThePupilDoes: 'Counts the full turn as 60 minutes of the hour before: 4:00 becomes 3:60.',
  sayToPupil: inTongue({
    en: 'When the long hand comes back to 12, the next hour has begun: its minutes start at 00.',
    de: 'Wenn der lange Zeiger wieder auf der 12 steht, fängt die nächste Stunde an: Ihre Minuten beginnen bei 00.',
  }),
  howItCame: inTongue({
    en: 'Counted the full turn as 60 minutes of the hour before.',
    de: 'Hat die ganze Runde als 60 Minuten der Stunde davor gezählt.',
  }),
  nextMove: 'Count in fives round the dial and stop at the top: say the next o’clock instead of sixty.',
  distorts: (acts) => ({
    count: (minuteDeg) => acts.count(minuteDeg).map((minute) => (minute === 0 ? 60 : minute)),
    read: (pose) =>
      acts
        .read(pose)
        // Of the hour before, as they count on; or of the one that the short hand points at.
        .flatMap(({ hour, minute }) =>
          Number(minute) === 0
            ? [String(previousHour12(Number(hour))), hour].map((one) => ({ hour: one, minute: '60' }))
            : [{ hour, minute }],
        ),
  }),
};
