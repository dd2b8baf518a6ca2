import type { ChooseOneItem } from './item.js';

const dial = (hourDeg: number, minuteDeg: number) => ({ hourDeg, minuteDeg, numerals: 'all' as const });
const kind = 'choose-one';

/** All three ways a time can be given; hands that cannot be, digits that are no time. */
export const CHOOSE_ONE_SAMPLES: readonly ChooseOneItem[] = [
  {
    id: 'sample-dial',
    kind,
    timeSec: 9900,
    from: 'dial',
    choices: [{ text: '3:45' }, { text: '2:45' }, { text: '2:09' }, { text: '9:14' }],
  },
  { id: 'sample-zero', kind, timeSec: 21_900, from: 'dial', choices: [{ text: '6:5' }, { text: '6:05' }, { text: '6:01' }] },
  { id: 'sample-words', kind, timeSec: 56_700, from: 'words', choices: [{ text: '4:45' }, { text: '3:45' }, { text: '4:15' }] },
  { id: 'sample-set', kind, timeSec: 34_200, from: 'display', choices: [dial(270, 180), dial(285, 180), dial(300, 180)] },
  { id: 'sample-said', kind, timeSec: 27_000, from: 'dial', choices: [{ text: 'half past eight' }, { text: 'half past seven' }] },
];
