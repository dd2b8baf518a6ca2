import { resolve } from 'node:path';
import { monitorEventLoopDelay } from 'node:perf_hooks';
import { buildApp } from '../../server/src/app.js';
import { openStore } from '../../server/src/db/connection.js';
import { DEMO_SIGN_IN, seedDemo } from '../../server/src/demo/seed.js';
import { insertClass } from '../../server/src/features/classes/queries.js';
import { planResults, readyRows, takeResults } from '../../server/src/features/results/take-in.js';
import { WorkThread } from '../../server/src/work/thread.js';
import { DAY_MS, PUPILS, yearOf } from './year.js';

// The real server with a school year of one class in it: 36 pupils, 40 lessons of 12 questions, 17,280 answers by simulated
// pupils. It tells for how long its loop was blocked, when asked.
const [, , dataDir] = process.argv;
const store = openStore({ dataDir: dataDir!, migrationsDir: resolve('server/drizzle') });
await seedDemo(store, Date.now());
const { id: teacherId } = store.sqlite.prepare('SELECT id FROM teacher').get() as { id: string };
const pupilNames = Array.from({ length: PUPILS }, (_, index) => `Pupil ${index + 1}`);
const classId = insertClass(store.db, { teacherId, name: 'A year', pupilNames, createdAtMs: Date.now() - 300 * DAY_MS }).id;

const plan = await planResults(store.db, classId, yearOf(store, classId));
const rows = await readyRows(plan.add);
const takesMs = timed(() => store.sqlite.transaction(() => takeResults(store.db, { teacherId, classId, plan, rows }, Date.now()))());

const work = new WorkThread({
  script: resolve('server/dist/worker.js'),
  file: store.sqlite.name,
  onFault: (error) => {
    throw error;
  },
});
const app = await buildApp({ store, work, nowMs: Date.now, webDir: resolve('web/dist/browser') });
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
