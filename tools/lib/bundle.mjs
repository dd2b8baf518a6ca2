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
}

/** Bundles a script for a page, with everything inside. */
export async function bundleForPage(entry, outfile) {
  const { build } = await import('esbuild');
  await build({ entryPoints: [join(ROOT, entry)], outfile: join(ROOT, outfile), bundle: true, format: 'iife', logLevel: 'error' });
}

function keepPackagesOutside(build) {
  build.onResolve({ filter: /^[^./]/ }, ({ path }) => (path.startsWith('@zeitpunkt/') ? undefined : { path, external: true }));
}
