import { minuteOfHour, secondOfDay } from '../time/second-of-day.js';
import { dialHour, timesOf, withBeats } from './lesson-parts.js';
import type { CheckerRule } from './rule.js';

/** A short lesson need not have every tricky case. */
const LEAST_TIMES = 6;

export const neverPastTwelve: CheckerRule = {
  severity: 'warning',
  find(prepared) {
    const times = timesOf(prepared);
    if (times.length < LEAST_TIMES || times.some((at) => dialHour(at) === 0)) return [];
    const { lesson } = prepared;
    const minute = minuteOfHour(times.find((at) => minuteOfHour(at) > 0) ?? times[0]!);
    const lastExample = lesson.beats.findLastIndex(({ kind }) => kind === 'worked-example');
    return [
      {
        at: null,
        what: 'No time lies between 12 and 1.',
        why: 'There the smaller numeral is the coming one, and rules of thumb break.',
        mend: {
          label: 'Add an example between 12 and 1',
          apply: (one) => withBeats(one, lastExample + 1 || 1, [{ kind: 'worked-example', timeSec: secondOfDay(0, minute) }]),
        },
      },
    ];
  },
};
