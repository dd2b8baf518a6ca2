import { existsSync } from 'node:fs';
import { run, say } from './shell.mjs';

/** Finds Chromium for the end-to-end tests; as root on Debian it installs it. Returns whether there is one. */
export function findChromium() {
  const path = process.env.CHROMIUM ?? '/usr/bin/chromium';
  if (existsSync(path)) return true;
  if (process.getuid?.() === 0 && existsSync('/usr/bin/apt-get')) {
    say('Installing Chromium for the end-to-end tests …');
    const quiet = { stdio: ['ignore', 'ignore', 'inherit'], env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } };
    run('apt-get', ['update', '-qq'], quiet);
    run('apt-get', ['install', '-y', '-qq', 'chromium'], quiet);
  }
  if (existsSync(path)) return true;
  console.error('The end-to-end tests need Chromium: install the package chromium, or set CHROMIUM to where it is.');
  return false;
}
