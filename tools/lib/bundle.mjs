import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './shell.mjs';

/** Bundles one of our entry points for Node: our own packages inside, everything from npm outside. */
export async function bundle(entry, outfile) {
  const { build } = await import('esbuild');
  await build({
    entryPoints: [join(ROOT, entry)],
    outfile: join(ROOT, outfile),
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    sourcemap: true,
    logLevel: 'error',
    plugins: [{ name: 'ours-inside', setup: keepPackagesOutside }],
  });
  keepNarrow(join(ROOT, outfile));
}

/**
 * A script with a single letter beyond Latin-1 lies in memory with two bytes for each of its letters. esbuild writes such letters
 * of strings as escapes, those of patterns and comments it leaves; in either an escape means the same.
 */
function keepNarrow(file) {
  const script = readFileSync(file, 'utf8');
  writeFileSync(
    file,
    script.replace(/[\u0100-\uffff]/g, (letter) => `\\u${letter.charCodeAt(0).toString(16).padStart(4, '0')}`),
  );
}

/** Bundles a script for a page, with everything inside. */
export async function bundleForPage(entry, outfile) {
  const { build } = await import('esbuild');
  await build({ entryPoints: [join(ROOT, entry)], outfile: join(ROOT, outfile), bundle: true, format: 'iife', logLevel: 'error' });
}

function keepPackagesOutside(build) {
  build.onResolve({ filter: /^[^./]/ }, ({ path }) => (path.startsWith('@zeitpunkt/') ? undefined : { path, external: true }));
}
