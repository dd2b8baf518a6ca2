import { bin, say } from './shell.mjs';
import { whenStale } from './stale.mjs';

const OURS = ['core/src', 'contract/src', 'tsconfig.base.json', 'package-lock.json'];

/** Builds what is stale: the browser's validators, the server, the web application. */
export async function build() {
  await whenStale(
    'validators',
    ['contract/src', 'tools/lib/validators.mjs', 'package-lock.json'],
    'web/src/generated/desk-message-shell.js',
    async () => {
      say('Compiling validators for the browser …');
      const { writeValidators } = await import('./validators.mjs');
      await writeValidators();
    },
  );
  await whenStale('server', [...OURS, 'server/src'], 'server/dist/main.js', async () => {
    say('Building the server …');
    const { bundle } = await import('./bundle.mjs');
    await bundle('server/src/main.ts', 'server/dist/main.js');
    await bundle('server/src/work/worker.ts', 'server/dist/worker.js');
  });
  await whenStale('web', [...OURS, 'web/src', 'web/angular.json', 'web/tsconfig.json'], 'web/dist/browser/index.html', () => {
    say('Building the web application (about a minute the first time) …');
    const env = { ...process.env, NG_CLI_ANALYTICS: 'false' };
    if (!bin('@angular/cli/bin/ng.js', ['build'], { cwd: new URL('../../web', import.meta.url), env })) process.exit(1);
  });
}
