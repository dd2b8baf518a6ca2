import type { TypedTime } from '../../acts/typed-time.js';
import type { DisplaySeparator } from '../../time/display.js';
import { sameTyped } from '../../acts/typed-time.js';
import { timeText } from './time.js';

/** A time for each gap of a row, in its order. */
export interface TimesAnswer {
  readonly times: readonly TypedTime[];
}

export interface TimesShapeView {
  readonly shape: 'times';
  /** The row: times as they are shown, null where one is to be filled in. */
  readonly row: readonly (string | null)[];
  readonly separator: DisplaySeparator;
}

export const timesText = ({ times }: TimesAnswer): string =>
  times.every(({ hour, minute }) => hour === '' && minute === '') ? 'blank' : times.map(timeText).join(', ');

export const sameTimes = (one: TimesAnswer, other: TimesAnswer): boolean =>
  one.times.length === other.times.length &&
  one.times.every((time, place) => time.hour !== '' && sameTyped(plain(time), plain(other.times[place]!)));

/** A leading zero of the hour makes no other answer. */
const plain = ({ hour, minute }: TypedTime): TypedTime => ({ hour: hour.replace(/^0(?=\d)/, ''), minute });
