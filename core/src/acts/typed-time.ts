import { minuteDigits } from '../time/display.js';
import { hour12, minuteOfHour, wrapSecondOfDay, type SecondOfDay } from '../time/second-of-day.js';

/** A time as typed into the two boxes of a display; `minute` keeps the digits as typed ("5" is not "05"). */
export interface TypedTime {
  readonly hour: string;
  readonly minute: string;
}

/** A time as it is typed right on a 12-hour display. */
export function typedTime(at: SecondOfDay): TypedTime {
  return { hour: String(hour12(at)), minute: minuteDigits(minuteOfHour(at)) };
}

/** What typed digits mean on the dial, between midnight and noon; null where they are no time. */
export function timeTyped({ hour, minute }: TypedTime): SecondOfDay | null {
  if (!/^\d{1,2}$/.test(hour) || !/^\d{1,2}$/.test(minute) || Number(hour) > 23 || Number(minute) > 59) return null;
  return wrapSecondOfDay((Number(hour) % 12) * 3600 + Number(minute) * 60);
}

export function sameTyped(a: TypedTime, b: TypedTime): boolean {
  return a.hour === b.hour && a.minute === b.minute;
}
