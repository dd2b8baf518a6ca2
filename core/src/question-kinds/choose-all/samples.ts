import type { ChooseAllItem } from './item.js';

const dial = (hourDeg: number, minuteDeg: number, numerals: 'all' | 'quarters' = 'all') => ({ hourDeg, minuteDeg, numerals });

/** Dials and texts; one right choice and several; a dial that can be no time; 12 to 1. */
export const CHOOSE_ALL_SAMPLES: readonly ChooseAllItem[] = [
  {
    id: 'sample-half',
    kind: 'choose-all',
    timeSec: 27_000,
    from: 'words',
    choices: [dial(225, 180), dial(210, 180), dial(195, 180), dial(225, 180, 'quarters'), dial(255, 180)],
  },
  {
    id: 'sample-quarter',
    kind: 'choose-all',
    timeSec: 45_900,
    from: 'display',
    choices: [dial(22.5, 270), dial(22.5, 270, 'quarters'), dial(270, 22.5), dial(352.5, 270)],
  },
  {
    id: 'sample-words',
    kind: 'choose-all',
    timeSec: 56_700,
    from: 'dial',
    choices: [{ text: '3:45' }, { text: 'quarter to four' }, { text: '4:45' }, { text: '3:09' }, { text: 'three forty-five' }],
  },
  { id: 'sample-one', kind: 'choose-all', timeSec: 21_900, from: 'display', choices: [dial(182.5, 30), dial(30, 182.5)] },
];
