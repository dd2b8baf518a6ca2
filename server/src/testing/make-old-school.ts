import { writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { buildApp } from '../app.js';
import { openStore } from '../db/connection.js';
import { DEMO_SIGN_IN, seedDemo } from '../demo/seed.js';
import { dumpSchool } from './dump-school.js';
import { liveIn } from './lived-in.js';

// Makes the school that is kept with a new version of the tables: npm run old-school
const [, , dataDir, version, kept] = process.argv;
const nowMs = () => Date.UTC(2026, 10, 27, 9);
const store = openStore({ dataDir: dataDir!, migrationsDir: resolve('server/drizzle') });
await seedDemo(store, nowMs());
const app = await buildApp({ store, nowMs });
await app.ready();
const left = await liveIn(app, DEMO_SIGN_IN);
await app.close();
store.close();
if (left.length > 0) throw new Error(`The school is not lived in as it should be: ${left.join(', ')}`);
const about = `The demo school as a program with tables of version ${version} wrote it. Read by a test for ever; never edit.`;
writeFileSync(kept!, dumpSchool(join(dataDir!, 'zeitpunkt.sqlite'), about));
