import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { must, ROOT, say } from './shell.mjs';

const STAMP = join(ROOT, 'node_modules/.zeitpunkt-lock');

/** Installs the packages of the lock file if it has changed since they were installed last. */
export function install() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) {
    console.error(`Zeitpunkt needs Node 20.19 or newer; this is ${process.versions.node}.`);
    process.exit(1);
  }
  const lock = createHash('sha256')
    .update(readFileSync(join(ROOT, 'package-lock.json')))
    .digest('hex');
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === lock) return;
  say('Installing packages (the first time takes a few minutes; SQLite may be compiled) …');
  must('Installing', 'npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']);
  mkdirSync(join(ROOT, 'node_modules'), { recursive: true });
  writeFileSync(STAMP, lock);
}
