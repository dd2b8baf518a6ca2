import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { bin, ROOT } from './shell.mjs';

/** The packages that are type checked; the templates of the web application are checked by its build. */
export const TYPE_CHECKED = ['core', 'contract', 'server', 'web', 'e2e', 'bench'];

const CACHE = join(ROOT, 'node_modules/.cache/zeitpunkt/types');

/** What the compiler is told to check a package and to remember what it saw. */
export function typecheckArgs(name) {
  mkdirSync(CACHE, { recursive: true });
  return ['-p', name, '--noEmit', '--incremental', '--tsBuildInfoFile', join(CACHE, `${name}.tsbuildinfo`)];
}

/** Type checks every package. */
export function typecheck() {
  return TYPE_CHECKED.every((name) => bin('typescript/bin/tsc', typecheckArgs(name)));
}
