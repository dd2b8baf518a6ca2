import type { Heard } from './heard.js';

/** The half of the day as written behind a display: am, a.m., pm, p. m. */
const HALF = '(?:\\s*([ap])\\.?\\s*m\\.?)?';
/** What stands between hour and minutes; struck twice it is still one. */
const BETWEEN = '(?:\\s*([-:.;,])\\2?\\s*|\\s+)';
/** What children also put there, between digits that can be nothing else: 7/30, 7'30, 7h30. */
const RARELY_BETWEEN = /^(\d{1,2})\s?([/'h])\s?(\d{2})$/;
/** The letters o and l for the digits that they look like. */
const LOOKALIKES = /^[\dl][\dol]?[:.][\dol]{2}$/;
const SEPARATED = new RegExp(`^(\\d{1,2})${BETWEEN}(\\d{1,2})${HALF}$`);
const TOGETHER = new RegExp(`^(\\d{1,2})()(\\d{2})${HALF}$`);

/**
 * Reads a time written in digits as children type it: 7:05 7.05 705 7;05 07:05 7 05. One digit for the minutes is kept
 * apart as a misconception, and so is 60. Returns null where the text is no display at all.
 */
export function hearDisplay(text: string): Heard | null {
  const digits = LOOKALIKES.test(text) ? text.replaceAll('o', '0').replaceAll('l', '1') : text.replace(RARELY_BETWEEN, '$1:$3');
  const match = SEPARATED.exec(digits) ?? TOGETHER.exec(digits);
  if (!match) return null;
  const [, hourText, , minuteText, half] = match as unknown as [string, string, string, string, string | undefined];
  const hour = Number(hourText);
  const minute = Number(minuteText);
  if (hour > 23 || minute > 60 || (half === 'a' && hour > 12) || (half !== undefined && hour === 0)) return { kind: 'unreadable' };
  const misconception = minute === 60 ? 'sixty-at-top' : minuteText.length === 1 ? 'zero-dropped' : null;
  const is24 = hour > 12 || hour === 0 || half !== undefined;
  const hour24 = half === undefined || hour > 12 ? hour : (hour % 12) + (half === 'p' ? 12 : 0);
  const total = (is24 ? hour24 : hour % 12) * 60 + minute;
  return { kind: 'time', minuteOfDay: total % (is24 ? 1440 : 720), halfKnown: is24, form: 'display', slips: 0, misconception };
}
