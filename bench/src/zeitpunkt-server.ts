import { resolve } from 'node:path';
import { buildApp } from '../../server/src/app.js';
import { openStore } from '../../server/src/db/connection.js';
import { DEMO_SIGN_IN, seedDemo } from '../../server/src/demo/seed.js';
import { insertClass } from '../../server/src/features/classes/queries.js';

// The real server with as many classes as the load needs, and without the limits that keep strangers from guessing: the
// whole load comes from one address.
const [, , dataDir, classCount] = process.argv;
const store = openStore({ dataDir: dataDir!, migrationsDir: resolve('server/drizzle') });
await seedDemo(store, Date.now());
const { id: teacherId } = store.sqlite.prepare('SELECT id FROM teacher').get() as { id: string };
const pupilNames = Array.from({ length: 30 }, (_, index) => `Pupil ${index + 1}`);
for (let index = 0; index < Number(classCount); index++) {
  insertClass(store.db, { teacherId, name: `Class ${index + 1}`, pupilNames, createdAtMs: Date.now() + index });
}
const app = await buildApp({ store, nowMs: Date.now, limits: { joinPerMinute: 1e6, signInPerMinute: 1e6 } });
await app.listen({ port: 0, host: '127.0.0.1' });
const address = app.server.address();
console.log(JSON.stringify({ port: typeof address === 'object' && address ? address.port : 0, ...DEMO_SIGN_IN }));
