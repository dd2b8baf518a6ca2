import { chromium } from '@playwright/test';
import { gzipSync } from 'node:zlib';
import { CHROMIUM, DemoServer, SIGN_IN } from './demo-server.js';

// JavaScript of the first view, gzip: what a browser that has nothing yet loads for the pupil's desk and for the
// places that a teacher opens.
const GOALS = [
  { path: '/desk', goalKb: 120, signIn: false },
  { path: '/today', goalKb: 330, signIn: true },
  { path: '/ladder', goalKb: 330, signIn: true },
  { path: '/lessons', goalKb: 330, signIn: true },
];
const server = await DemoServer.start();
const browser = await chromium.launch(CHROMIUM);

async function weighKb(path: string, signIn: boolean): Promise<number> {
  const page = await browser.newPage();
  if (signIn) await page.request.post(`${server.url}/api/sign-in`, { data: SIGN_IN });
  const sizes: Promise<number>[] = [];
  page.on('response', (reply) => {
    if (reply.url().endsWith('.js')) sizes.push(reply.body().then((body) => gzipSync(body).length));
  });
  await page.goto(server.url + path, { waitUntil: 'networkidle' });
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
server.stop();
