import { misconceptionOf, type Mark, type Verdict } from '@zeitpunkt/core';

/** How the teacher's places show each verdict: a sign that does not rely on colour, and words. */
export const VERDICT_WORDS: Record<Verdict, { readonly sign: string; readonly words: string }> = {
  right: { sign: '✓', words: 'right' },
  'right-other-form': { sign: '✓', words: 'right, other form' },
  partly: { sign: '◐', words: 'partly' },
  'not-yet': { sign: '○', words: 'not yet' },
  blank: { sign: '–', words: 'blank' },
};

/** The misconceptions a mark is consistent with, by name: one response alone often fits several. */
export function misconceptionNames(mark: Pick<Mark, 'misconceptions'>): string {
  return namesOfIdeas(mark.misconceptions.map((id) => misconceptionOf(id).name));
}

/** "Nearest hour or coming hour". */
export function namesOfIdeas(names: readonly string[]): string {
  return names.map((name, index) => (index === 0 ? name : name.charAt(0).toLowerCase() + name.slice(1))).join(' or ');
}
