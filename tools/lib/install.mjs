import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, say } from './shell.mjs';

const STAMP = join(ROOT, 'node_modules/.zeitpunkt-lock');
/** What is installed so far is said this often. */
const SAY_EVERY_MS = 5000;

/** Installs the packages of the lock file if it has changed since they were installed last, and says how far it is. */
export async function install() {
  mustFit(process.versions.node);
  const text = readFileSync(join(ROOT, 'package-lock.json'), 'utf8');
  const lock = createHash('sha256').update(text).digest('hex');
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === lock) return;
  const wanted = packagesOf(JSON.parse(text));
  say(`Installing ${wanted.length.toLocaleString('en')} packages; the first time takes some minutes …`);
  const sayProgress = progress(wanted);
  const timer = setInterval(sayProgress, SAY_EVERY_MS);
  const code = await npmCi();
  clearInterval(timer);
  if (code !== 0) {
    console.error('Installing failed: npm ci. What went wrong stands above.');
    process.exit(1);
  }
  mkdirSync(join(ROOT, 'node_modules'), { recursive: true });
  writeFileSync(STAMP, lock);
}

/** The versions of Node that every package takes, as package.json says. */
function mustFit(version) {
  const [major, minor] = version.split('.').map(Number);
  if ((major === 20 && minor >= 19) || (major === 22 && minor >= 12) || major > 22) return;
  console.error(`Zeitpunkt needs Node 20.19 or a later 20, or 22.12 or newer; this is ${version}.`);
  process.exit(1);
}

/** Where the packages of a lock file will stand, without those that other machines need. */
function packagesOf(lock) {
  return Object.entries(lock.packages)
    .filter(([path, { optional, link }]) => path.startsWith('node_modules/') && !optional && !link)
    .map(([path]) => join(ROOT, path, 'package.json'));
}

/** Says how many packages are there, and what is being done once all of them are. */
function progress(wanted) {
  const began = Date.now();
  let last = -1;
  return () => {
    const there = wanted.filter((path) => existsSync(path)).length;
    const seconds = Math.round((Date.now() - began) / 1000);
    // At the end SQLite is compiled where no finished file for this machine can be fetched.
    if (there === wanted.length) say(`all packages are there; setting up SQLite … (${seconds} s)`);
    else if (there !== last) say(`${there.toLocaleString('en')} of ${wanted.length.toLocaleString('en')} packages (${seconds} s)`);
    else say(`fetching … (${seconds} s)`);
    last = there;
  };
}

function npmCi() {
  const args = ['ci', '--no-audit', '--no-fund', '--loglevel=error'];
  const child = spawn('npm', args, { cwd: ROOT, stdio: 'inherit' });
  return new Promise((resolve) => child.on('exit', (code) => resolve(code ?? 1)).on('error', () => resolve(1)));
}
