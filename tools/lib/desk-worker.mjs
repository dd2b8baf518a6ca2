import { createHash } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './shell.mjs';

const DIST = join(ROOT, 'web/dist');
const PAGES = join(DIST, 'browser');
/** Where the application begins, and where in it the desk does. */
const [MAIN, DESK] = ['src/main.ts', 'src/app/desk-start.ts'];
/** The letters that nearly every name and sentence is written in; others are fetched when there are some. */
const LETTERS = /^andika-latin-[47]00-normal-\w+\.woff2$/;

/** Writes down which scripts the desk begins with: the page of the desk asks for all of them at once. */
export function writeDeskBeginning() {
  const { outputs, main, desk } = readBuild();
  const found = new Set();
  for (const name of [main, desk]) collect(outputs, name, ['import-statement'], found);
  writeFileSync(join(DIST, 'desk-beginning.json'), JSON.stringify([...found].map((name) => `/${name}`)));
}

/** Bundles the worker that keeps the desk on a device, with the list of what the desk is made of. */
export async function writeDeskWorker() {
  const { build } = await import('esbuild');
  await build({
    entryPoints: [join(ROOT, 'web/src/app/features/desk/offline/desk-worker.ts')],
    outfile: join(PAGES, 'desk-worker.js'),
    tsconfig: join(ROOT, 'web/tsconfig.json'),
    define: { DESK_FILES: JSON.stringify(deskFiles()), 'process.env.NODE_ENV': '"production"' },
    bundle: true,
    minify: true,
    format: 'iife',
    target: 'es2020',
    logLevel: 'error',
  });
}

/** Every file of the desk: what it begins with, and whatever it may fetch later. Names with a hash of the content need no revision. */
function deskFiles() {
  const { outputs, main, desk } = readBuild();
  const found = new Set();
  collect(outputs, main, ['import-statement'], found);
  collect(outputs, desk, ['import-statement', 'dynamic-import'], found);
  const page = readFileSync(join(PAGES, 'index.html'), 'utf8');
  const styles = [...page.matchAll(/<link rel="stylesheet" href="([^"]+)"/g)].map(([, name]) => name);
  const letters = styles.flatMap((name) =>
    [...readFileSync(join(PAGES, name), 'utf8').matchAll(/url\("?\.?\/?media\/([^)"]+)/g)].map(([, file]) => file),
  );
  return [
    { url: '/desk', revision: createHash('sha256').update(page).digest('hex').slice(0, 16) },
    ...[...found, ...styles].map((name) => ({ url: `/${name}`, revision: null })),
    ...letters.filter((name) => LETTERS.test(name)).map((name) => ({ url: `/media/${name}`, revision: null })),
  ];
}

/** The graph of the build, and where in it the page and the desk begin. */
function readBuild() {
  const { outputs } = JSON.parse(readFileSync(join(DIST, 'stats.json'), 'utf8'));
  const beginning = (entry) => Object.keys(outputs).find((name) => outputs[name].entryPoint === entry && name.endsWith('.js'));
  const [main, desk] = [beginning(MAIN), beginning(DESK)];
  if (!main || !desk) throw new Error(`The build has no ${main ? DESK : MAIN}: the desk cannot be kept on a device.`);
  return { outputs, main, desk };
}

/** Adds a file and all that it fetches in these ways. */
function collect(outputs, name, kinds, found) {
  if (found.has(name) || !outputs[name]) return;
  found.add(name);
  for (const { path, kind } of outputs[name].imports) if (kinds.includes(kind)) collect(outputs, path, kinds, found);
}
