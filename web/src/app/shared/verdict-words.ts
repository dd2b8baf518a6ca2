import type { Verdict } from '@zeitpunkt/core/question-kinds/question-kind';

/** How the teacher's places show each verdict: a sign that does not rely on colour, and words. */
export const VERDICT_WORDS: Record<Verdict, { readonly sign: string; readonly words: string }> = {
  right: { sign: '✓', words: 'right' },
  'right-other-form': { sign: '✓', words: 'right, other form' },
  partly: { sign: '◐', words: 'partly' },
  'not-yet': { sign: '○', words: 'not yet' },
  blank: { sign: '–', words: 'blank' },
};
