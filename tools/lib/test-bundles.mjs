import { mkdirSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { ROOT } from './shell.mjs';
import { whenStale } from './stale.mjs';

/** Where tests of the server and of the pages find the core and the contract. */
export const TEST_BUNDLES = join(ROOT, 'node_modules/.cache/zeitpunkt/test-bundles');

/**
 * The core and the contract, each as one file for tests of others: a test file loads hundreds of modules anew, and half of its
 * time went there. Parts that are asked for by their own file are found in the same bundle, so that there is one of each.
 */
export async function bundleForTests() {
  await whenStale(
    'test-bundles',
    ['core/src', 'contract/src', 'tools/lib/test-bundles.mjs'],
    'node_modules/.cache/zeitpunkt/test-bundles/core/all.cjs',
    async () => {
      rmSync(TEST_BUNDLES, { recursive: true, force: true });
      for (const name of ['core', 'contract']) await bundleOne(name);
    },
  );
}

async function bundleOne(name) {
  const { build } = await import('esbuild');
  const source = join(ROOT, name, 'src');
  const modules = [...files(source)].map((path) => path.slice(source.length + 1, -'.ts'.length));
  const parts = modules.map((path) => `${JSON.stringify(path)}: () => require(${JSON.stringify(`./${path}.ts`)})`);
  await build({
    stdin: { contents: `exports.parts = {${parts.join(',\n')}};`, resolveDir: source, loader: 'js' },
    outfile: join(TEST_BUNDLES, name, 'all.cjs'),
    bundle: true,
    platform: 'node',
    format: 'cjs',
    target: 'node20',
    logLevel: 'error',
    plugins: [{ name: 'others-outside', setup: (one) => one.onResolve({ filter: /^[^./]/ }, ({ path }) => ({ path, external: true })) }],
  });
  for (const path of modules) {
    const stub = join(TEST_BUNDLES, name, `${path}.cjs`);
    mkdirSync(dirname(stub), { recursive: true });
    writeFileSync(
      stub,
      `module.exports = require(${JSON.stringify(join(TEST_BUNDLES, name, 'all.cjs'))}).parts[${JSON.stringify(path)}]();\n`,
    );
  }
}

/** Everything but tests and declarations. */
function* files(folder) {
  for (const name of readdirSync(folder).sort()) {
    const path = join(folder, name);
    if (statSync(path).isDirectory()) yield* files(path);
    else if (name.endsWith('.ts') && !/\.(test|d)\.ts$/.test(name)) yield path;
  }
}
