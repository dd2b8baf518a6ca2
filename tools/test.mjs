import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { build } from './lib/build.mjs';
import { findChromium } from './lib/chromium.mjs';
import { install } from './lib/install.mjs';
import { bin, ROOT, say } from './lib/shell.mjs';
import { typecheck } from './lib/typecheck.mjs';

// Lint, type check, unit and end-to-end tests. The last line counts: "N passed, N failed".
await install();
await build();

const reports = join(ROOT, 'test-results');
rmSync(reports, { recursive: true, force: true });
mkdirSync(reports, { recursive: true });
const total = { passed: 0, failed: 0 };

/** A check that either holds or does not. */
function check(name, holds) {
  say(`${name}: ${holds ? 'fine' : 'FAILED'}`);
  total[holds ? 'passed' : 'failed'] += 1;
}

/** Adds a test runner's own count; a runner that failed without counting a failure is one failure. */
function add(name, succeeded, file, count) {
  const { passed, failed } = existsSync(file) ? count(JSON.parse(readFileSync(file, 'utf8'))) : { passed: 0, failed: 0 };
  total.passed += passed;
  total.failed += failed || (succeeded && passed > 0 ? 0 : 1);
  say(`${name}: ${passed} passed, ${failed} failed`);
}

check('ESLint', bin('eslint/bin/eslint.js', ['.', '--max-warnings', '0']));
check('Prettier', bin('prettier/bin/prettier.cjs', ['--check', '.', '--log-level', 'warn']));
check('knip', bin('knip/bin/knip.js', []));
check('Type check', typecheck());

const unit = join(reports, 'unit.json');
add('Unit tests', bin('jest/bin/jest.js', ['--json', `--outputFile=${unit}`]), unit, (report) => ({
  passed: report.numPassedTests,
  failed: report.numFailedTests + report.numRuntimeErrorTestSuites,
}));

const journeys = join(reports, 'journeys.json');
const env = { ...process.env, ZEITPUNKT_E2E_REPORT: journeys };
const ran =
  findChromium() && bin('@playwright/test/cli.js', ['test', '-c', 'e2e', '--project', 'journeys', '--output', 'test-results/e2e'], { env });
add('End-to-end tests', ran, journeys, ({ stats }) => ({ passed: stats.expected, failed: stats.unexpected + stats.flaky }));

console.log(`${total.passed} passed, ${total.failed} failed`);
process.exit(total.failed === 0 ? 0 : 1);
