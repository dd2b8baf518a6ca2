import type { Diagnosis, IdeaFinding, Sureness } from '@zeitpunkt/core/diagnosis/diagnose';
import { misconceptionOf } from '@zeitpunkt/core/misconceptions/registry';

/** How sure an idea is, in words for the teacher. */
const SURENESS_WORDS: Record<Sureness, string> = {
  settled: 'settled',
  likely: 'likely',
  'one-off': 'a one-off',
  'not-seen': 'not seen',
  'too-few': 'too few answers to say',
};

/** What is worth saying of a pupil: ideas that are settled or likely, else those that were seen at all. */
export function worthSaying({ ideas }: Diagnosis): readonly IdeaFinding[] {
  const held = ideas.filter(({ sureness }) => sureness === 'settled' || sureness === 'likely');
  return held.length > 0 ? held : ideas.filter(({ hits, probability }) => hits > 0 && probability > 0.15).slice(0, 2);
}

/** "not asked for 6 weeks", where that is long: what was settled may have gone since. */
export function notAskedFor({ lastAskedMs }: Pick<IdeaFinding, 'lastAskedMs'>, nowMs: number): string {
  const weeks = Math.floor((nowMs - lastAskedMs) / MS_PER_WEEK);
  return weeks < LONG_WEEKS ? '' : `not asked for ${weeks} weeks`;
}

const MS_PER_WEEK = 7 * 86_400_000;
const LONG_WEEKS = 2;

/** "Takes the nearest numeral: settled, 3 of 4 chances". */
export function ideaWords({ id, sureness, hits, chances }: IdeaFinding): string {
  return `${misconceptionOf(id).name}: ${SURENESS_WORDS[sureness]}, ${hits} of ${chances} ${chances === 1 ? 'chance' : 'chances'}`;
}
