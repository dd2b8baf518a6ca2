import { resolve } from 'node:path';
import { monitorEventLoopDelay } from 'node:perf_hooks';
import { buildApp } from '../../server/src/app.js';
import { openStore } from '../../server/src/db/connection.js';
import { DEMO_SIGN_IN, seedDemo } from '../../server/src/demo/seed.js';
import { insertClass } from '../../server/src/features/classes/queries.js';
import { planResults, readyRows, takeResults } from '../../server/src/features/results/take-in.js';
import { WorkThread } from '../../server/src/work/thread.js';
import { yearOf } from './year.js';

// The real server, with its thread for heavy work: a class that answers, and another class with a school year of answers, with
// which somebody else works. It tells for how long its loop was held, when asked.
const [, , dataDir] = process.argv;
const store = openStore({ dataDir: dataDir!, migrationsDir: resolve('server/drizzle') });
await seedDemo(store, Date.now());
const { id: teacherId } = store.sqlite.prepare('SELECT id FROM teacher').get() as { id: string };
const names = (count: number) => Array.from({ length: count }, (_, index) => `Pupil ${index + 1}`);
insertClass(store.db, { teacherId, name: 'Answers', pupilNames: names(30), createdAtMs: Date.now() });
const yearId = insertClass(store.db, { teacherId, name: 'A year', pupilNames: names(36), createdAtMs: Date.now() }).id;
const plan = await planResults(store.db, yearId, yearOf(store, yearId));
const rows = await readyRows(plan.add);
store.sqlite.transaction(() => takeResults(store.db, { teacherId, classId: yearId, plan, rows }, Date.now()))();
store.sqlite.exec("UPDATE class SET door_admits = 'class-list'");

const work = new WorkThread({
  script: resolve('server/dist/worker.js'),
  file: store.sqlite.name,
  onFault: (error) => {
    throw error;
  },
});
const app = await buildApp({ store, work, nowMs: Date.now, limits: { attempts: Infinity } });
await app.listen({ port: 0, host: '127.0.0.1' });
const address = app.server.address();
const delay = monitorEventLoopDelay({ resolution: 1 });
delay.enable();
process.on('message', () => {
  process.send!({ heldMs: delay.max / 1e6 });
  delay.reset();
});
process.send!({ port: typeof address === 'object' && address ? address.port : 0, yearId, ...DEMO_SIGN_IN });
