import { join } from 'node:path';
import { binAside, ROOT, say } from './shell.mjs';
import { whenStale } from './stale.mjs';

/** A long build says so often that it goes on, in milliseconds. */
const SAY_EVERY_MS = 20_000;

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
      say('Making the checks of what comes from the server: some seconds …');
      const { writeValidators } = await import('./validators.mjs');
      await writeValidators();
    },
  );
  await whenStale('server', [...OURS, 'server/src'], 'server/dist/main.js', async () => {
    say('Building the server: some seconds …');
    const { bundle } = await import('./bundle.mjs');
    await bundle('server/src/main.ts', 'server/dist/main.js');
    await bundle('server/src/work/worker.ts', 'server/dist/worker.js');
    await bundle('server/src/backup/main.ts', 'server/dist/backup.js');
    await bundle('server/src/reset/main.ts', 'server/dist/reset.js');
  });
}

/** Builds the web application; other work may go on beside it. */
export async function buildPages() {
  const pages = [...OURS, 'web/src', 'web/angular.json', 'web/tsconfig.json', 'tools/lib/compress-pages.mjs', 'tools/lib/desk-worker.mjs'];
  await whenStale('web', pages, 'web/dist/browser/index.html', async () => {
    say('Building the pages: one to three minutes, and again only when they have changed …');
    const env = { ...process.env, NG_CLI_ANALYTICS: 'false' };
    const began = Date.now();
    const timer = setInterval(() => say(`still building (${Math.round((Date.now() - began) / 1000)} s)`), SAY_EVERY_MS);
    const { holds, said } = await binAside('@angular/cli/bin/ng.js', ['build'], { cwd: new URL('../../web', import.meta.url), env });
    clearInterval(timer);
    if (!holds) {
      // What it says of packages and browsers helps nobody who starts a school's machine; why it failed does.
      console.error(said);
      process.exit(1);
    }
    // A warning is dealt with at its root; until then it is seen.
    for (const warning of said.match(/^.*\[?WARNING[^]*?(?=\n\n)/gm) ?? []) console.error(warning);
    const { writeDeskBeginning, writeDeskWorker } = await import('./desk-worker.mjs');
    writeDeskBeginning();
    await writeDeskWorker();
    const { compressPages } = await import('./compress-pages.mjs');
    await compressPages(join(ROOT, 'web/dist/browser'));
  });
}
