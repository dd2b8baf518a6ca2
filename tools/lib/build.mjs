import { join } from 'node:path';
import { binBeside, ROOT, say } from './shell.mjs';
import { whenStale } from './stale.mjs';

const OURS = ['core/src', 'contract/src', 'tsconfig.base.json', 'package-lock.json'];

/** Builds what is stale: the browser's validators, the server, the web application. */
export async function build() {
  await buildServer();
  await buildPages();
}

/** Builds the server, and the browser's validators, which tests read too. */
export async function buildServer() {
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
}

/** Builds the web application; other work may go on beside it. */
export async function buildPages() {
  const pages = [...OURS, 'web/src', 'web/angular.json', 'web/tsconfig.json', 'tools/lib/compress-pages.mjs', 'tools/lib/desk-worker.mjs'];
  await whenStale('web', pages, 'web/dist/browser/index.html', async () => {
    say('Building the web application (about a minute the first time) …');
    const env = { ...process.env, NG_CLI_ANALYTICS: 'false' };
    if (!(await binBeside('@angular/cli/bin/ng.js', ['build'], { cwd: new URL('../../web', import.meta.url), env }))) process.exit(1);
    const { writeDeskWorker } = await import('./desk-worker.mjs');
    await writeDeskWorker();
    const { compressPages } = await import('./compress-pages.mjs');
    await compressPages(join(ROOT, 'web/dist/browser'));
  });
}
