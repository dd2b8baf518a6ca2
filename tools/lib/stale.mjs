import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { ROOT } from './shell.mjs';

const SKIP = new Set(['node_modules', 'dist', '.angular']);

function* files(path) {
  if (statSync(path).isFile()) return void (yield path);
  for (const name of readdirSync(path).sort()) if (!SKIP.has(name)) yield* files(join(path, name));
}

/** A fingerprint of everything in some files and folders. */
function fingerprint(paths) {
  const hash = createHash('sha256');
  for (const path of paths) for (const file of files(join(ROOT, path))) hash.update(file.slice(ROOT.length)).update(readFileSync(file));
  return hash.digest('hex');
}

/** Does some work only if what it is made from has changed since, or if what it makes is not there. */
export async function whenStale(name, sources, product, work) {
  const stamp = join(ROOT, 'node_modules/.cache/zeitpunkt', `${name}.stamp`);
  const now = fingerprint(sources);
  if (existsSync(join(ROOT, product)) && existsSync(stamp) && readFileSync(stamp, 'utf8') === now) return;
  await work();
  mkdirSync(dirname(stamp), { recursive: true });
  writeFileSync(stamp, now);
}
