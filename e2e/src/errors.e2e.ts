import { spawnSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { connect } from 'node:net';
import { join } from 'node:path';
import { expect, test } from './lib/classroom.js';
import { TestServer } from './lib/server.js';

const MAIN = join(import.meta.dirname, '../../server/dist/main.js');
const startOn = (...args: string[]) => spawnSync(process.execPath, [MAIN, ...args], { encoding: 'utf8', timeout: 20_000 });

test.use({ ownProcess: true });

test('empty fields say what they want, and the first of them is gone to', async ({ teacher, server }) => {
  const { page } = teacher;
  await page.goto(`${server.url}/`);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByText('Please enter your sign-in name.')).toBeVisible();
  await expect(page.getByText('Please enter your password.')).toBeVisible();
  await expect(page.getByLabel('Sign-in name')).toBeFocused();
});

test('a wrong password says so and keeps what was typed', async ({ teacher }) => {
  await teacher.signInByForm('puffin');
  await expect(teacher.page.getByRole('alert')).toHaveText('The sign-in name and the password do not belong together. Please check both.');
  await expect(teacher.page.getByLabel('Sign-in name')).toHaveValue('odalys');
});

test('wrong pictures, a misspelt picture and a name just taken each say what to do', async ({ teacher, newPupil }) => {
  await teacher.signIn();
  const key = await teacher.openRoom();
  const one = await newPupil('Mirela');
  const wrong = key.map((picture) => (picture === 'drum' ? 'star' : 'drum'));
  await one.enterKey(wrong);
  await expect(one.page.getByRole('alert')).toContainText('No open door has these four pictures in this order');
  await one.page.getByLabel('Or type their names').fill('boat castle');
  await one.page.getByRole('button', { name: 'Go in' }).click();
  await expect(one.page.getByRole('alert')).toContainText('There is no picture “castle”. The pictures are: boat, lamp');
  await one.page.getByLabel('Or type their names').fill(key.join(' '));
  await one.page.getByRole('button', { name: 'Go in' }).click();
  await expect(one.page.getByRole('heading', { name: 'Terns: who are you?' })).toBeVisible();
  await (await newPupil('Mirela')).join(key);
  await one.page.getByRole('button', { name: 'Mirela' }).click();
  await expect(one.page.getByRole('alert')).toContainText('Mirela is in the room already');
  await expect(one.page.getByRole('button', { name: 'Mirela' })).toBeHidden();
});

test('a room of somebody else’s, or none at all, is not there', async ({ teacher, server }) => {
  await teacher.signIn();
  await expect(teacher.page.getByRole('heading', { name: 'Ready to teach' })).toBeVisible();
  await teacher.page.goto(`${server.url}/console/00000000-0000-4000-8000-000000000000`);
  await expect(teacher.page.getByRole('alert')).toContainText('There is no such lesson run among yours.');
});

test('signing out in one window ends the others of that browser', async ({ teacher }) => {
  await teacher.signIn();
  await teacher.openRoom();
  const lessons = await teacher.page.context().newPage();
  await lessons.goto(new URL('/ladder', teacher.page.url()).href);
  await lessons.getByRole('button', { name: 'Sign out' }).click();
  await expect(teacher.page.getByRole('heading', { name: 'Sign in to teach' })).toBeVisible();
  await teacher.page.getByLabel('Sign-in name').fill('odalys');
  await teacher.page.getByLabel('Password').fill('tern-harbour-lamp');
  await teacher.page.getByRole('button', { name: 'Sign in' }).click();
  await expect(teacher.page.getByRole('heading', { name: 'Let the pupils in' })).toBeVisible(); // where one was
});

test('a start that cannot be is ended with one sentence, and a second server leaves the first one’s school alone', async ({ server }) => {
  const port = new URL(server.url).port;
  const refused = (...args: string[]) => {
    const { status, stderr, stdout } = startOn(...args);
    expect([status, stdout]).toEqual([1, '']);
    return stderr.trim();
  };
  expect(refused('--port', port, '--data', join(server.dataDir, 'other'))).toBe(
    `Zeitpunkt did not start: Port ${port} is used by another program. Choose another port with --port.`,
  );
  const file = join(server.dataDir, 'a-file');
  writeFileSync(file, '');
  expect(refused('--port', '0', '--data', join(file, 'data'))).toMatch(
    /^Zeitpunkt did not start: The data directory .* cannot be used: .*\.$/,
  );
  expect(refused('--port', '-1')).toBe('Zeitpunkt did not start: A port is a whole number from 0 to 65535, but “-1” came.');
  expect(refused('--port', '0', '--data', server.dataDir)).toMatch(
    /^Zeitpunkt did not start: The school in .* is open in another Zeitpunkt already\./,
  );
  expect((await fetch(`${server.url}/api/me`)).status).toBe(200);
});

test('a stop is orderly and quick, whatever is open: lines, a body that never ends, an answer just given', async ({
  server,
  teacher,
  newPupil,
}) => {
  await teacher.signIn();
  const key = await teacher.openRoom();
  const anouk = await newPupil('Anouk');
  await anouk.join(key);
  await teacher.begin();
  await teacher.goTo('Ask');
  await expect(anouk.stem).toHaveText('What time is it?');
  const slow = connect(Number(new URL(server.url).port), 'localhost');
  slow.on('error', () => undefined);
  slow.write('POST /api/sign-in HTTP/1.1\r\nhost: localhost\r\ncontent-type: application/json\r\ncontent-length: 90\r\n\r\n{');
  await anouk.read('7', '30');
  await anouk.expectKept();
  const from = Date.now();
  expect(await server.end()).toBe(0);
  expect(Date.now() - from).toBeLessThan(5000);
  slow.destroy();
  await server.start();
  await expect(teacher.wall).toContainText('1 of 1 answered');
});

test('the first start for real use: the code from the console, a teacher, a class, and a lesson can begin', async ({ page }) => {
  const server = new TestServer({ demo: false });
  const code = /enter the code\s+(\d{8})/.exec(await server.start())?.[1];
  await page.goto(`${server.url}/`);
  await page.getByRole('button', { name: 'Start' }).click();
  for (const wanted of ['the code', 'your name']) await expect(page.getByText(`Please enter ${wanted}.`)).toBeVisible();
  await page.getByLabel('Set-up code').fill('11111111');
  await page.getByLabel('Your name').fill('Mr Tarn Quay');
  await page.getByLabel('Sign-in name').fill('quay');
  await page.getByLabel('Password').fill('a-long-password');
  await page.getByLabel('Your class').fill('Puffins');
  await page.getByRole('textbox', { name: /^Pupils/ }).fill('Bo\nWren\nBo');
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByText('Bo stands there twice')).toBeVisible();
  await page.getByRole('textbox', { name: /^Pupils/ }).fill('Bo\n\n Wren \n');
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByRole('alert')).toContainText('That is not the set-up code');
  await page.getByLabel('Set-up code').fill(code!);
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByText('Puffins 2 pupils')).toBeVisible();
  await page.getByRole('button', { name: 'Open the room' }).first().click();
  await expect(page.getByText('0 of 2 are in')).toBeVisible();
  await server.stop();
});
