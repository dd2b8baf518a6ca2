import type { ClassPupil } from '@zeitpunkt/contract';

export type CardState = 'has' | 'unused' | 'none';

/** Whether a pupil can come in by card: one that was made after the pupil was last seen was not used yet. */
export function cardOf({ cardAtMs }: ClassPupil, lastMs: number | null): CardState {
  if (cardAtMs === null) return 'none';
  return lastMs !== null && lastMs > cardAtMs ? 'has' : 'unused';
}
