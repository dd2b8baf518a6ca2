import { hour12, minuteOfHour, type SecondOfDay } from '../../time/second-of-day.js';
import type { Band } from './band.js';

/** A band as it stands at another time. Jumps lead from the hour to the last full step; single minutes are too many to jump. */
export function bandAt(band: Band, at: SecondOfDay): Band {
  const minute = minuteOfHour(at);
  switch (band.type) {
    case 'day-line':
      return { ...band, atSec: at };
    case 'fraction-strip':
    case 'fraction-circle':
      return { ...band, filled: (minute / 60) * band.parts };
    case 'hour-line': {
      const jumps = Array.from({ length: band.by === 1 ? 0 : Math.floor(minute / band.by) }, (_, index) => ({
        from: index * band.by,
        to: (index + 1) * band.by,
      }));
      return { ...band, hour: hour12(at), at: minute, jumps };
    }
  }
}
