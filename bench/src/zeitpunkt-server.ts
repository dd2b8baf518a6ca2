import { execFileSync } from 'node:child_process';
import { resolve } from 'node:path';
import { buildApp } from '../../server/src/app.js';
import { openStore } from '../../server/src/db/connection.js';
import { DEMO_SIGN_IN, seedDemo } from '../../server/src/demo/seed.js';
import { tellUsage } from './usage.js';
import { insertClass } from '../../server/src/features/classes/queries.js';

// The real server with as many classes as the load needs. The pupils of the load are in at once. Its school is made by a process
// of its own: what making it takes is no part of what serving it takes.
const [, script, dataDir, classCount, part] = process.argv;
const isMaker = part === 'make';
if (!isMaker) execFileSync(process.execPath, [script!, dataDir!, classCount!, 'make']);
const store = openStore({ dataDir: dataDir!, migrationsDir: resolve('server/drizzle') });
if (isMaker) {
  await seedDemo(store, Date.now());
  const { id: teacherId } = store.sqlite.prepare('SELECT id FROM teacher').get() as { id: string };
  const pupilNames = Array.from({ length: 30 }, (_, index) => `Pupil ${index + 1}`);
  for (let index = 0; index < Number(classCount); index++) {
    insertClass(store.db, { teacherId, name: `Class ${index + 1}`, pupilNames, createdAtMs: Date.now() + index });
  }
  store.sqlite.exec("UPDATE class SET door_admits = 'class-list'");
  store.close();
  process.exit();
}
// The load answers one question again and again.
const start = () => buildApp({ store, nowMs: Date.now, limits: { attempts: Infinity } });
let app = await start();
await app.listen({ port: 0, host: '127.0.0.1' });
const address = app.server.address();
const port = typeof address === 'object' && address ? address.port : 0;
const restart = async () => {
  await app.close();
  app = await start();
  await app.listen({ port, host: '127.0.0.1' });
  process.send!({ port });
};
process.on('message', ({ type }: { readonly type: string }) => {
  if (type === 'restart') void restart();
});
tellUsage({ port, ...DEMO_SIGN_IN });
