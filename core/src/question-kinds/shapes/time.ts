import type { TypedTime } from '../../acts/typed-time.js';
import type { DisplaySeparator } from '../../time/display.js';
import { hour12, hour24, minuteOfHour, onDial, type SecondOfDay } from '../../time/second-of-day.js';
import type { Judgement } from '../question-kind.js';

/** Two boxes, filled with digits: one or two in each, or none where that part was given up. */
export type TimeAnswer = TypedTime;

export interface TimeShapeView {
  readonly shape: 'time';
  readonly separator: DisplaySeparator;
  /** A time of day, or how long something takes in hours and minutes. */
  readonly asks: 'time' | 'length';
}

/** The digits as given, a line where a box was left empty. */
export function timeText({ hour, minute }: TimeAnswer): string {
  return hour === '' && minute === '' ? 'blank' : `${hour || '_'}:${minute || '_'}`;
}

export const timeShape = {
  shape: 'time',
  /** On a dial 19 and 7 are one hour; the minutes are compared as they were typed. */
  isSame: (_item: unknown, predicted: TimeAnswer, given: TimeAnswer) =>
    given.hour !== '' && onDial(Number(predicted.hour)) === onDial(Number(given.hour)) && predicted.minute === given.minute,
  isPossible: () => true,
  responseText: (_item: unknown, response: TimeAnswer) => timeText(response),
} as const;

/** Whether an hour was typed as a display of 12 hours has it. */
export const isOf12 = ({ hour }: TimeAnswer): boolean => Number(hour) >= 1 && Number(hour) <= 12;

/** Which hours are the same: those that one numeral of a dial stands for, those of 24, or only 1 to 12 as a display has them. */
export type HourForm = 'dial' | 'of-24' | 'of-12';

/** How right a typed time is. Where a dial is read, both hours that a numeral stands for are right. */
export function judgeTime(at: SecondOfDay, { hour, minute }: TimeAnswer, form: HourForm): Judgement {
  const typed = Number(hour || NaN);
  const isHour = form === 'of-24' ? typed === hour24(at) : typed <= 23 && onDial(typed) === hour12(at);
  const isForm = minute.length === 2 && !(form === 'of-12' && isHour && (typed > 12 || typed === 0));
  const isMinute = Number(minute || NaN) === minuteOfHour(at);
  const parts = [
    { part: 'hour', right: isHour },
    { part: 'minute', right: isMinute },
    { part: 'form', right: isForm },
  ] as const;
  if (hour === '' && minute === '') return { verdict: 'blank', parts };
  if (isHour && isMinute && isForm) {
    return { verdict: form === 'dial' && typed !== hour12(at) ? 'right-other-form' : 'right', parts };
  }
  return { verdict: isHour || isMinute ? 'partly' : 'not-yet', parts };
}

export function isRightPart({ parts }: Judgement, wanted: 'hour' | 'minute' | 'form'): boolean {
  return parts.some(({ part, right }) => part === wanted && right);
}
