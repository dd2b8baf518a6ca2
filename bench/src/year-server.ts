import { DEFAULT_SETTINGS, markOf, RUNGS, seededRng, type Item, type ResultRow, type RungId } from '@zeitpunkt/core';
import { poolOf } from '@zeitpunkt/core/diagnosis/pool';
import { simulatedClass } from '@zeitpunkt/core/rehearsal/simulated-class';
import { simulateResponse } from '@zeitpunkt/core/rehearsal/simulated-pupil';
import { randomUUID } from 'node:crypto';
import { resolve } from 'node:path';
import { monitorEventLoopDelay } from 'node:perf_hooks';
import { buildApp } from '../../server/src/app.js';
import { openStore } from '../../server/src/db/connection.js';
import { DEMO_SIGN_IN, seedDemo } from '../../server/src/demo/seed.js';
import { insertClass, pupilsOf } from '../../server/src/features/classes/queries.js';
import { planResults, readyRows, takeResults } from '../../server/src/features/results/take-in.js';

// The real server with a school year of one class in it: 36 pupils, 40 lessons of 12 questions, 17,280 answers by simulated
// pupils. It tells for how long its loop was blocked, when asked.
const [PUPILS, LESSONS, QUESTIONS] = [36, 40, 12];
const RUNGS_OF_A_YEAR: readonly RungId[] = ['whole-hours', 'half-past', 'quarter-past', 'quarter-to', 'five-past', 'five-to', 'any-minute'];
const DAY_MS = 86_400_000;
const [, , dataDir] = process.argv;
const store = openStore({ dataDir: dataDir!, migrationsDir: resolve('server/drizzle') });
await seedDemo(store, Date.now());
const { id: teacherId } = store.sqlite.prepare('SELECT id FROM teacher').get() as { id: string };
const pupilNames = Array.from({ length: PUPILS }, (_, index) => `Pupil ${index + 1}`);
const classId = insertClass(store.db, { teacherId, name: 'A year', pupilNames, createdAtMs: Date.now() - 300 * DAY_MS }).id;

const plan = await planResults(store.db, classId, yearOf());
const rows = await readyRows(plan.add);
const takesMs = timed(() => store.sqlite.transaction(() => takeResults(store.db, { teacherId, classId, plan, rows }, Date.now()))());

const app = await buildApp({ store, nowMs: Date.now, webDir: resolve('web/dist/browser') });
await app.listen({ port: 0, host: '127.0.0.1' });
const address = app.server.address();
const delay = monitorEventLoopDelay({ resolution: 1 });
delay.enable();
process.on('message', () => {
  process.send!({ blockedMs: delay.max / 1e6 });
  delay.reset();
});
process.send!({ port: typeof address === 'object' && address ? address.port : 0, classId, answers: plan.added, takesMs, ...DEMO_SIGN_IN });

function timed(work: () => unknown): number {
  const start = performance.now();
  work();
  return performance.now() - start;
}

/** The answers of the year, as a file of results has them. */
function yearOf(): ResultRow[] {
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
