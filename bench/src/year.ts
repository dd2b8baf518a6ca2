import type { ResultRow } from '@zeitpunkt/core/insight/result-row';
import { RUNGS, type RungId } from '@zeitpunkt/core/ladder/registry';
import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import { markOf } from '@zeitpunkt/core/question-kinds/marking';
import type { Item } from '@zeitpunkt/core/question-kinds/registry';
import { seededRng } from '@zeitpunkt/core/random/rng';
import { poolOf } from '@zeitpunkt/core/diagnosis/pool';
import { simulatedClass } from '@zeitpunkt/core/rehearsal/simulated-class';
import { simulateResponse } from '@zeitpunkt/core/rehearsal/simulated-pupil';
import { randomUUID } from 'node:crypto';
import type { Store } from '../../server/src/db/connection.js';
import { pupilsOf } from '../../server/src/sessions/queries/pupils.js';

// A school year of one class: 36 pupils, 40 lessons of 12 questions, 17,280 answers by simulated pupils.
export const PUPILS = 36;
const [LESSONS, QUESTIONS] = [40, 12];
const RUNGS_OF_A_YEAR: readonly RungId[] = ['whole-hours', 'half-past', 'quarter-past', 'quarter-to', 'five-past', 'five-to', 'any-minute'];
export const DAY_MS = 86_400_000;

/** The answers of the year, as a file of results has them. */
export function yearOf(store: Store, classId: string): ResultRow[] {
  const rng = seededRng(12);
  const pupils = pupilsOf(store.db, classId);
  const profiles = simulatedClass(PUPILS, RUNGS['five-to'].misconceptions, rng);
  return Array.from({ length: LESSONS }, (_, lesson) => {
    const rung = RUNGS_OF_A_YEAR[Math.floor((lesson * RUNGS_OF_A_YEAR.length) / LESSONS)]!;
    const taughtAtMs = Date.now() - (LESSONS - lesson) * 7 * DAY_MS;
    const [sessionId, items] = [randomUUID(), [...poolOf(QUESTIONS, RUNGS[rung], DEFAULT_SETTINGS, lesson)] as Item[]];
    return items.flatMap((one, place) => {
      const item: Item = { ...one, id: `q${place + 1}` };
      return pupils.map((pupil, index): ResultRow => {
        const { response, responseTimeMs } = simulateResponse(profiles[index]!, item, DEFAULT_SETTINGS, rng);
        return {
          responseId: randomUUID(),
          pupilId: pupil.id,
          pupil: pupil.name,
          reference: null,
          sessionId,
          lesson: `Lesson ${lesson + 1}`,
          taughtAtMs,
          pace: 'live',
          rung,
          settings: DEFAULT_SETTINGS,
          askingId: item.id,
          number: place + 1,
          item,
          attempt: 1,
          response,
          mark: markOf(item, response, DEFAULT_SETTINGS),
          correction: null,
          responseTimeMs: Math.round(responseTimeMs),
          receivedAtMs: taughtAtMs + (place + 1) * 60_000,
          source: 'device',
          late: null,
        };
      });
    });
  }).flat();
}
