import { existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { bundle } from './lib/bundle.mjs';
import { install } from './lib/install.mjs';
import { must, ROOT, say } from './lib/shell.mjs';

// Keeps a school as this version of the tables writes it, for all versions to come. Run with each new migration, once.
await install();
const version = readdirSync(join(ROOT, 'server/drizzle'))
  .filter((name) => name.endsWith('.sql'))
  .sort()
  .at(-1)
  .slice(0, 4);
const kept = join(ROOT, `server/src/testing/old-schools/${version}.sql`);
if (existsSync(kept)) {
  say(`The school of version ${version} is kept already; it is never made anew.`);
  process.exit(1);
}
const made = 'node_modules/.cache/zeitpunkt/make-old-school.mjs';
await bundle('server/src/testing/make-old-school.ts', made);
const dataDir = mkdtempSync(join(tmpdir(), 'zeitpunkt-old-'));
must('The school', process.execPath, [made, dataDir, version, kept]);
rmSync(dataDir, { recursive: true });
say(`Kept: ${kept.slice(ROOT.length)}`);
