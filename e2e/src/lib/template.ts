import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { TestServer } from './server.js';

/** Where the school that every journey begins with is kept, with the cookie of a teacher who is signed in there. */
const FOLDER = join(import.meta.dirname, '../../../test-results/template');

export const TEMPLATE_DATABASE = join(FOLDER, 'zeitpunkt.sqlite');
const COOKIE_FILE = join(FOLDER, 'cookie.txt');

/** The cookie of the signed-in teacher: the same in every copy of the school. */
export function teacherCookie(): { name: string; value: string } {
  const [name = '', value = ''] = readFileSync(COOKIE_FILE, 'utf8').split('=');
  return { name, value };
}

/** Seeds the demo school once and signs its teacher in: journeys copy what is there then. */
export async function makeTemplate(): Promise<void> {
  rmSync(FOLDER, { recursive: true, force: true });
  const server = new TestServer({ demo: true, dataDir: FOLDER });
  await server.start();
  const reply = await fetch(`${server.url}/api/sign-in`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ signInName: 'odalys', password: 'tern-harbour-lamp' }),
  });
  const [cookie] = reply.headers.getSetCookie();
  writeFileSync(COOKIE_FILE, cookie!.split(';')[0]!);
  await server.end(); // orderly, so that all of it is in the one file
}
