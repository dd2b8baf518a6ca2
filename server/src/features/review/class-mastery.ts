import {
  LatestAttempts,
  masteryAnswer,
  masteryOf,
  RUNG_IDS,
  rungOfItem,
  type InsightAnswer,
  type MasteryWord,
  type RungId,
} from '@zeitpunkt/core';
import type { ClassMastery, Pupil } from '@zeitpunkt/contract';
import { setImmediate } from 'node:timers/promises';
import type { Db } from '../../db/connection.js';
import { sessionAnswers } from './session-answers.js';

/** How many of a class are at which word on each rung on which anything was answered. */
export async function classMastery(db: Db, classId: string, pupils: readonly Pupil[], nowMs: number): Promise<ClassMastery> {
  const answers = new Map<string, Map<RungId, Parameters<typeof masteryOf>[0][number][]>>(pupils.map(({ id }) => [id, new Map()]));
  for await (const session of sessionAnswers(db, classId)) {
    // Which lesson cannot be read is told in the class review.
    if ('why' in session) continue;
    const { lesson, room, responses } = session;
    const latest = new LatestAttempts(responses.filter(({ late }) => late === null || late.counted));
    for (const { id, item } of room.run.askings) {
      const rung = rungOfItem(item, lesson);
      for (const one of latest.at(id).values()) {
        const own = answers.get(one.pupilId);
        if (!own) continue;
        const atMs = one.late?.givenAtMs ?? one.receivedAtMs;
        const seen: Pick<InsightAnswer, 'item' | 'settings' | 'verdict' | 'atMs'> = { item, settings: lesson.settings, verdict: one.mark.verdict, atMs }; // prettier-ignore
        own.set(rung, [...(own.get(rung) ?? []), masteryAnswer(seen)]);
      }
    }
  }
  const words = new Map<RungId, Record<MasteryWord, number>>();
  for (const own of answers.values()) {
    await setImmediate();
    for (const [rung, given] of own) {
      const counts = words.get(rung) ?? { sure: 0, nearly: 0, 'not-yet': 0, 'too-few': 0 };
      counts[masteryOf(given.sort((one, other) => one.atMs - other.atMs), nowMs).word] += 1; // prettier-ignore
      words.set(rung, counts);
    }
  }
  return { rungs: RUNG_IDS.flatMap((rung) => (words.has(rung) ? [{ rung, words: words.get(rung)! }] : [])) };
}
