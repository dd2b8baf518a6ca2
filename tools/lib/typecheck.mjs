import { bin } from './shell.mjs';

/** Type checks every package; the templates of the web application are checked by its build. */
export function typecheck() {
  return ['core', 'contract', 'server', 'web', 'e2e', 'bench'].every((name) => bin('typescript/bin/tsc', ['-p', name, '--noEmit']));
}
