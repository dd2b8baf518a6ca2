import { dialHour } from '../lesson/lesson-parts.js';
import { firstOnRung, missingExample } from './missing-example.js';

export const neverPastTwelve = missingExample({
  leastTimes: 6,
  what: 'No time lies between 12 and 1.',
  why: 'There the smaller numeral is the coming one, and rules of thumb break.',
  label: 'Add an example between 12 and 1',
  isIt: (at) => dialHour(at) === 0,
  example: ({ newMinutes, ...rung }) => firstOnRung({ newMinutes, ...rung }, [...newMinutes.map((minute) => [0, minute] as const), [0, 0]]),
});
