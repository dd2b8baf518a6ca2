import { catalogue } from '../shared/words/catalogue';
import type { PointerTool } from './pointer-tools';

export const POINTER_WORDS = catalogue({
  en: {
    pointers: 'Pointers',
    tool: { turn: 'Turn', ring: 'Ring', ray: 'Ray', arc: 'Arc', ink: 'Ink', gap: 'Gap' } as Readonly<Record<PointerTool, string>>,
    hint: {
      turn: 'Turn the hands',
      ring: 'Ring a numeral',
      ray: 'A ray from the middle to the rim',
      arc: 'An arc on the rim, counted',
      ink: 'Draw with a pen',
      gap: 'Leave out a numeral',
    } as Readonly<Record<PointerTool, string>>,
    wipe: 'Wipe',
    wipeHint: 'Wipe all pointers',
    at: 'At',
    toMinute: 'To minute',
    from: 'From minute',
    to: 'To minute',
    count: 'In',
    by: { 1: 'ones', 5: 'fives', 15: 'quarters' },
    ringIt: 'Ring it',
    leaveOut: 'Leave it out',
    draw: 'Draw it',
  },
});
