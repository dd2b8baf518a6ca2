import type { PhaseId } from '@zeitpunkt/core/lesson/phases';
import { catalogue } from '../words/catalogue';

export const RIM_WORDS = catalogue({
  en: {
    phase: {
      recall: 'Recall',
      show: 'Show',
      examples: 'Examples',
      turn: 'Your turn',
      slips: 'Slips',
      paper: 'On paper',
      check: 'Check',
      say: 'Words',
    } as Readonly<Record<PhaseId, string>>,
    minutes: (n: number) => `${n} min`,
  },
});
