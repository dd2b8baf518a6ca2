import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { bin, ROOT } from './shell.mjs';

/**
 * What is type checked, each in one go: what a package is made of is read and checked once, not again for each that uses it. The
 * templates of the web application are checked by its build.
 */
export const TYPE_CHECKED = {
  'core, contract and server': 'tools/types-of-server.json',
  web: 'web',
  'e2e and bench': 'tools/types-of-journeys.json',
};

const CACHE = join(ROOT, 'node_modules/.cache/zeitpunkt/types');

/** What the compiler is told to check a project and to remember what it saw. */
export function typecheckArgs(project) {
  mkdirSync(CACHE, { recursive: true });
  return ['-p', project, '--noEmit', '--incremental', '--tsBuildInfoFile', join(CACHE, `${project.replaceAll('/', '-')}.tsbuildinfo`)];
}

/** Type checks every package. */
export function typecheck() {
  return Object.values(TYPE_CHECKED).every((project) => bin('typescript/bin/tsc', typecheckArgs(project)));
}
