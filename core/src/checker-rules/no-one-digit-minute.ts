import { minuteOfHour } from '../time/second-of-day.js';
import { firstOnRung, missingExample } from './missing-example.js';

export const noOneDigitMinute = missingExample({
  leastTimes: 6,
  what: 'No time has fewer than ten minutes.',
  why: 'That 7:05 is not 7:5 is seen in such a time only.',
  label: 'Add an example with 05',
  isIt: (at) => minuteOfHour(at) > 0 && minuteOfHour(at) < 10,
  example: ({ newMinutes, ...rung }) =>
    // Once it was new it is known: later rungs need not come back to it.
    newMinutes.some((minute) => minute > 0 && minute < 10) ? firstOnRung({ newMinutes, ...rung }, [[7, 5]]) : null,
});
