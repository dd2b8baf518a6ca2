import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { buildPages, buildServer } from './lib/build.mjs';
import { findChromium, findTools } from './lib/chromium.mjs';
import { install } from './lib/install.mjs';
import { bin, binAside, ROOT, say } from './lib/shell.mjs';
import { ROOMS } from './lib/rooms.mjs';
import { TYPE_CHECKED, typecheckArgs } from './lib/typecheck.mjs';

// Lint, type check, unit and end-to-end tests. The last line counts: "N passed, N failed". What takes how long is said at
// the end of each part; docs/decisions.md says why the parts stand as they do.
await install();
await buildServer();

const reports = join(ROOT, 'test-results');
rmSync(reports, { recursive: true, force: true });
mkdirSync(reports, { recursive: true });
const CACHE = join(ROOT, 'node_modules/.cache/zeitpunkt');
const total = { passed: 0, failed: 0 };
const since = (began) => `${Math.round((performance.now() - began) / 1000)} s`;

/** A check that either holds or does not; what it says is shown only where it fails. */
async function check(name, command, args) {
  const began = performance.now();
  const { holds, said } = await binAside(command, args);
  if (!holds) process.stdout.write(said);
  say(`${name}: ${holds ? 'fine' : 'FAILED'} (${since(began)})`);
  total[holds ? 'passed' : 'failed'] += 1;
}

/** The pages for the journeys, and static checks, one after the other beside the unit tests: one process of the two cores' worth. */
async function pagesAndChecks() {
  await buildPages();
  await check('ESLint', 'eslint/bin/eslint.js', ['.', '--max-warnings', '0', '--cache', '--cache-location', join(CACHE, 'eslint')]);
  await check('Prettier', 'prettier/bin/prettier.cjs', [
    ...['--check', '.', '--log-level', 'warn'],
    ...['--cache', '--cache-location', join(CACHE, 'prettier')],
  ]);
  await check('How rooms are joined', 'dependency-cruiser/bin/dependency-cruise.mjs', ROOMS);
  await check('knip', 'knip/bin/knip.js', []);
  for (const [name, project] of Object.entries(TYPE_CHECKED)) await check(`Types of ${name}`, 'typescript/bin/tsc', typecheckArgs(project));
}

/** Adds a test runner's own count; a runner that failed without counting a failure is one failure. */
function add(name, succeeded, file, began, count) {
  const { passed, failed } = existsSync(file) ? count(JSON.parse(readFileSync(file, 'utf8'))) : { passed: 0, failed: 0 };
  total.passed += passed;
  total.failed += failed || (succeeded && passed > 0 ? 0 : 1);
  say(`${name}: ${passed} passed, ${failed} failed (${since(began)})`);
}

async function unitTests() {
  const began = performance.now();
  const file = join(reports, 'unit.json');
  const { holds, said } = await binAside('jest/bin/jest.js', ['--json', `--outputFile=${file}`, '--silent']);
  if (!holds) process.stdout.write(said);
  add('Unit tests', holds, file, began, (report) => ({
    passed: report.numPassedTests,
    failed: report.numFailedTests + report.numRuntimeErrorTestSuites,
  }));
}

say('Unit tests, and beside them the pages, lint and types …');
await Promise.all([unitTests(), pagesAndChecks()]);

const journeys = join(reports, 'journeys.json');
const browser = findChromium();
findTools();
const env = { ...process.env, ZEITPUNKT_E2E_REPORT: journeys };
const began = performance.now();
const ran =
  browser && bin('@playwright/test/cli.js', ['test', '-c', 'e2e', '--project', 'journeys', '--output', 'test-results/e2e'], { env });
add('End-to-end tests', ran, journeys, began, ({ stats }) => ({ passed: stats.expected, failed: stats.unexpected + stats.flaky }));

console.log(`${total.passed} passed, ${total.failed} failed`);
process.exit(total.failed === 0 ? 0 : 1);
