import { handsTogether } from '../talk/talk.js';
import { firstOnRung, missingExample } from './missing-example.js';

export const noOverlap = missingExample({
  leastTimes: 14,
  what: 'In no time do the hands nearly meet.',
  why: 'Where one hand is behind the other some pupils see a single hand.',
  label: 'Add an example where they do',
  isIt: handsTogether,
  example: ({ newMinutes, ...rung }) =>
    firstOnRung(
      { newMinutes, ...rung },
      (
        [
          [8, 45],
          [7, 40],
          [3, 15],
          [2, 10],
          [5, 25],
          [1, 5],
        ] as const
      ).filter(([, minute]) => newMinutes.includes(minute)),
    ),
});
