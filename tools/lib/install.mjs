import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, say } from './shell.mjs';

const STAMP = join(ROOT, 'node_modules/.zeitpunkt-lock');
/** What is installed so far is said this often. */
const SAY_EVERY_MS = 5000;
/** Where nothing has changed it is said more seldom that it goes on. */
const SAY_AGAIN_MS = 30_000;

/** Installs the packages of the lock file if it has changed since they were installed last, and says how far it is. */
export async function install() {
  mustFit(process.versions.node);
  const text = readFileSync(join(ROOT, 'package-lock.json'), 'utf8');
  const lock = createHash('sha256').update(text).digest('hex');
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === lock) return;
  const wanted = packagesOf(JSON.parse(text));
  say('The first start on this machine does three things once: packages are fetched, the server is built, the pages are built.');
  say(`Fetching ${wanted.length.toLocaleString('en')} packages: one to six minutes, once …`);
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
  let saidMs = 0;
  return () => {
    const there = wanted.filter((path) => existsSync(path)).length;
    const seconds = Math.round((Date.now() - began) / 1000);
    const isNew = there !== last;
    last = there;
    if (!isNew && Date.now() - saidMs < SAY_AGAIN_MS) return;
    saidMs = Date.now();
    // At the end SQLite is compiled where no finished file for this machine can be fetched.
    if (there === wanted.length) say(`all packages are there; SQLite is made ready for this machine, up to five minutes (${seconds} s)`);
    else if (isNew) say(`${there.toLocaleString('en')} of ${wanted.length.toLocaleString('en')} packages (${seconds} s)`);
    else say(`still fetching (${seconds} s)`);
  };
}

function npmCi() {
  const args = ['ci', '--no-audit', '--no-fund', '--loglevel=error'];
  const child = spawn('npm', args, { cwd: ROOT, stdio: 'inherit' });
  return new Promise((resolve) => child.on('exit', (code) => resolve(code ?? 1)).on('error', () => resolve(1)));
}
