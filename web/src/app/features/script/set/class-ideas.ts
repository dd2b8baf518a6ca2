import type { Diagnosis } from '@zeitpunkt/core/diagnosis/diagnose';
import type { LikelyIdea } from '@zeitpunkt/core/diagnosis/information';
import type { MisconceptionId } from '@zeitpunkt/core/misconceptions/registry';
import type { SessionDetail, SessionSummary } from '@zeitpunkt/contract';
import { ask } from '../../../shared/api';
import { answersIn, type Diagnoser } from '../../../shared/diagnosis/diagnoser';

/** So many of a class's latest lessons are looked through: older answers count little. */
const LATEST_LESSONS = 6;
/** An idea that so small a part of one pupil may hold is not worth a question. */
const LEAST_WEIGHT = 0.3;

/** An idea of a class; its weight is how many pupils may hold it, each counted by how sure that is. */
export interface ClassIdea extends LikelyIdea {
  /** Pupils of whom it is settled or likely. */
  readonly pupils: number;
}

/** The ideas that a class holds by what it answered lately, the most frequent first. */
export async function ideasOfClass(
  classId: string,
  diagnoser: Diagnoser,
  onProgress: (part: number) => void,
): Promise<readonly ClassIdea[]> {
  const sessions = await ask<readonly SessionSummary[]>('GET', '/api/sessions');
  const latest = sessions
    .filter((one) => one.classId === classId && one.responseCount > 0)
    .sort((one, other) => other.createdAtMs - one.createdAtMs)
    .slice(0, LATEST_LESSONS);
  const details = await Promise.all(latest.map(({ id }) => ask<SessionDetail>('GET', `/api/sessions/${id}`)));
  const found = await diagnoser.diagnose({ pupils: answersIn(details), nowMs: Date.now() }, onProgress).done;
  return likelyIdeas([...found.values()]);
}

export function likelyIdeas(diagnoses: readonly Diagnosis[]): readonly ClassIdea[] {
  const byId = new Map<MisconceptionId, { weight: number; pupils: number }>();
  for (const { ideas } of diagnoses) {
    for (const { id, probability, sureness } of ideas) {
      const one = byId.get(id) ?? { weight: 0, pupils: 0 };
      const isHeld = sureness === 'settled' || sureness === 'likely';
      byId.set(id, { weight: one.weight + probability, pupils: one.pupils + (isHeld ? 1 : 0) });
    }
  }
  return [...byId]
    .map(([id, one]) => ({ id, ...one }))
    .filter(({ weight }) => weight >= LEAST_WEIGHT)
    .sort((one, other) => other.weight - one.weight);
}
