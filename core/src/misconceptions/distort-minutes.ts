import type { Acts } from '../acts/acts.js';
import { minuteHandDeg, wrapDeg } from '../dial/pose.js';
import { minuteDigits } from '../time/display.js';
import { minuteOfHour } from '../time/second-of-day.js';

/**
 * Reading and setting the long hand as somebody does who counts its minutes wrong.
 * @param counted the minutes that they come to, for the right ones; 60 stays 60 where they write it so
 */
export function distortMinutes(acts: Acts, counted: (minute: number) => number | readonly number[]): Pick<Acts, 'read' | 'set' | 'count'> {
  const all = Array.from({ length: 60 }, (_, minute) => [counted(minute)].flat());
  // They stop where their own count says the wanted number; few of them are asked for, and those often.
  const found: (readonly number[] | undefined)[] = [];
  const stops = (wanted: number) => (found[wanted] ??= all.flatMap((said, minute) => (said.includes(wanted) ? [minute] : [])));
  return {
    count: (minuteDeg) => acts.count(minuteDeg).flatMap((minute) => all[minute] ?? [minute]),
    read: (pose) =>
      acts.read(pose).flatMap((typed) => {
        // Digits that another idea has changed already are no count any more.
        if (typed.minute.length !== 2 || Number(typed.minute) > 59) return [typed];
        return all[Number(typed.minute)]!.map((minute) => ({ hour: typed.hour, minute: minuteDigits(minute) }));
      }),
    set: (at) =>
      acts.set(at).flatMap((pose) => {
        if (pose.minuteDeg !== minuteHandDeg(at)) return [pose];
        // Where their count of the right place is right, they stop there.
        const places = all[minuteOfHour(at)]!.includes(minuteOfHour(at)) ? [] : stops(minuteOfHour(at));
        return (places.length > 0 ? places : [minuteOfHour(at)]).map((minute) => ({ ...pose, minuteDeg: wrapDeg(minute * 6) }));
      }),
  };
}
