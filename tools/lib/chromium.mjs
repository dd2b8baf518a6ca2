import { existsSync } from 'node:fs';
import { spawnSync } from 'node:child_process';
import { run, say } from './shell.mjs';

/** The browser without windows first: it starts and draws with less work, and nobody looks at the windows of a test. */
const BROWSERS = ['chromium-headless-shell', 'chromium'];
const found = () => [process.env.CHROMIUM, ...BROWSERS.map((name) => `/usr/bin/${name}`)].find((path) => path && existsSync(path));

/** Installs packages of Debian, as root. @param wanted by name, each a list of which the first that there is is taken */
function installPackages(what, wanted) {
  if (process.getuid?.() !== 0 || !existsSync('/usr/bin/apt-get')) return;
  say(`Installing ${what} for the end-to-end tests …`);
  const quiet = { stdio: ['ignore', 'ignore', 'inherit'], env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } };
  run('apt-get', ['update', '-qq'], quiet);
  const names = wanted.map(
    (some) => some.find((one) => spawnSync('apt-cache', ['show', one], { stdio: 'ignore' }).status === 0) ?? some.at(-1),
  );
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...names], quiet);
}

/**
 * Finds Chromium for whatever acts in a browser, and puts where it is into the environment (CHROMIUM) of what is started from
 * here; as root on Debian it installs it. Returns whether there is one.
 */
export function findChromium() {
  if (!found()) installPackages('Chromium', [BROWSERS]);
  const path = found();
  if (path) process.env.CHROMIUM = path;
  else console.error('The end-to-end tests need Chromium: install the package chromium, or set CHROMIUM to where it is.');
  return path !== undefined;
}

/** What the journeys of a school's technician act with: the proxy, certificates, and what begins a school by its socket. */
const TOOLS = [
  ['/usr/sbin/nginx', 'nginx-light'],
  ['/usr/bin/openssl', 'openssl'],
  ['/usr/bin/systemd-socket-activate', 'systemd'],
];

/** Finds them; as root on Debian it installs those that are missing. Without them their journeys fail, and say so. */
export function findTools() {
  const missing = TOOLS.filter(([path]) => !existsSync(path)).map(([, name]) => [name]);
  if (missing.length > 0) installPackages(missing.join(', '), missing);
}
