import { existsSync } from 'node:fs';
import { spawnSync } from 'node:child_process';
import { run, say } from './shell.mjs';

/** The browser without windows first: it starts and draws with less work, and nobody looks at the windows of a test. */
const PACKAGES = ['chromium-headless-shell', 'chromium'];
const found = () => [process.env.CHROMIUM, ...PACKAGES.map((name) => `/usr/bin/${name}`)].find((path) => path && existsSync(path));

/**
 * Finds Chromium for whatever acts in a browser, and puts where it is into the environment (CHROMIUM) of what is started from
 * here; as root on Debian it installs it. Returns whether there is one.
 */
export function findChromium() {
  if (!found() && process.getuid?.() === 0 && existsSync('/usr/bin/apt-get')) {
    say('Installing Chromium for the end-to-end tests …');
    const quiet = { stdio: ['ignore', 'ignore', 'inherit'], env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } };
    run('apt-get', ['update', '-qq'], quiet);
    const name = PACKAGES.find((one) => spawnSync('apt-cache', ['show', one], { stdio: 'ignore' }).status === 0) ?? PACKAGES.at(-1);
    run('apt-get', ['install', '-y', '-qq', name], quiet);
  }
  const path = found();
  if (path) process.env.CHROMIUM = path;
  else console.error('The end-to-end tests need Chromium: install the package chromium, or set CHROMIUM to where it is.');
  return path !== undefined;
}
