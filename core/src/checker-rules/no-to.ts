import { minuteOfHour } from '../time/second-of-day.js';
import { firstOnRung, missingExample } from './missing-example.js';

export const noTo = missingExample({
  leastTimes: 6,
  what: 'Every time is past the hour, none is to the next one.',
  why: 'Side by side it is seen that one counts on and the other counts what is left.',
  label: 'Add an example past the half',
  isIt: (at) => minuteOfHour(at) > 30,
  example: ({ newMinutes, ...rung }) =>
    newMinutes.some((minute) => minute > 30)
      ? firstOnRung(
          { newMinutes, ...rung },
          newMinutes.filter((minute) => minute > 30).map((minute) => [4, minute]),
        )
      : null,
});
