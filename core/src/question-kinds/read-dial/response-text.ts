import type { ReadDialResponse } from './read-dial.js';

/** The digits as given, a line where a box was left empty. */
export function readDialText({ hour, minute }: Pick<ReadDialResponse, 'hour' | 'minute'>): string {
  return hour === '' && minute === '' ? 'blank' : `${hour || '_'}:${minute || '_'}`;
}
