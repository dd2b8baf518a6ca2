import { chromium } from '@playwright/test';
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';

// JavaScript of the first view, gzip: what a browser that has nothing yet loads for the pupil's desk and for the
// teacher's list of lessons.
const GOALS = [
  { path: '/desk', goalKb: 150, signIn: false },
  { path: '/lessons', goalKb: 300, signIn: true },
];
const dataDir = mkdtempSync(join(tmpdir(), 'zeitpunkt-weight-'));
const server = spawn(process.execPath, ['server/dist/main.js', '--demo', '--port', '0', '--data', dataDir], {
  stdio: ['ignore', 'pipe', 'inherit'],
});
const url = await new Promise<string>((resolve) => {
  let said = '';
  server.stdout.on('data', (data) => {
    said += String(data);
    const found = /http:\/\/localhost:\d+/.exec(said)?.[0];
    if (found && said.includes('Ctrl+C')) resolve(found);
  });
});
const browser = await chromium.launch({
  executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu'],
});

async function weighKb(path: string, signIn: boolean): Promise<number> {
  const page = await browser.newPage();
  if (signIn) await page.request.post(`${url}/api/sign-in`, { data: { signInName: 'odalys', password: 'tern-harbour-lamp' } });
  const sizes: Promise<number>[] = [];
  page.on('response', (reply) => {
    if (reply.url().endsWith('.js')) sizes.push(reply.body().then((body) => gzipSync(body).length));
  });
  await page.goto(url + path, { waitUntil: 'networkidle' });
  const total = (await Promise.all(sizes)).reduce((sum, bytes) => sum + bytes, 0);
  await page.close();
  return total / 1024;
}

console.log('\nJavaScript of the first view, gzip');
for (const { path, goalKb, signIn } of GOALS) {
  const kb = await weighKb(path, signIn);
  console.log(`  ${path.padEnd(10)} ${kb.toFixed(0)} kB, ${(kb / goalKb).toFixed(2)} of the goal of ${goalKb} kB`);
}
await browser.close();
server.kill('SIGKILL');
rmSync(dataDir, { recursive: true, force: true });
