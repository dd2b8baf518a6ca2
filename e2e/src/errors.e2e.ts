import { spawnSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from './lib/classroom.js';
import { TestServer } from './lib/server.js';

const MAIN = join(import.meta.dirname, '../../server/dist/main.js');
const startOn = (...args: string[]) => spawnSync(process.execPath, [MAIN, ...args], { encoding: 'utf8', timeout: 20_000 });

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
  await expect(one.page.getByRole('alert')).toContainText('No room has these four pictures in this order');
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

test('an answer that comes too late is told so, and the desk goes on', async ({ teacher, newPupil }) => {
  await teacher.signIn();
  const key = await teacher.openRoom();
  const runa = await newPupil('Runa');
  await runa.join(key);
  await teacher.begin();
  await teacher.goTo('Ask');
  await expect(runa.stem).toHaveText('What time is it?');
  await runa.page.context().setOffline(true);
  await runa.read('7', '30');
  await expect(runa.page.getByText('Waiting for the line.')).toBeVisible();
  await teacher.page.getByRole('button', { name: 'Close answers' }).click();
  await expect(teacher.wall).toContainText('No answer 1');
  await runa.page.context().setOffline(false);
  await expect(runa.page.getByRole('alert')).toContainText('not open any more');
  await expect(runa.page.getByText('This question is closed now')).toBeVisible();
});

test('a room of somebody else’s, or none at all, is not there', async ({ teacher, server }) => {
  await teacher.signIn();
  await expect(teacher.page.getByRole('heading', { name: 'Ready to teach' })).toBeVisible();
  await teacher.page.goto(`${server.url}/console/00000000-0000-4000-8000-000000000000`);
  await expect(teacher.page.getByRole('alert')).toContainText('There is no such lesson run among yours.');
});

test('a port in use and a data directory that cannot be written end the start with one sentence', async ({ server }) => {
  const port = new URL(server.url).port;
  const busy = startOn('--port', port, '--data', join(server.dataDir, 'other'));
  expect(busy.status).toBe(1);
  expect(busy.stderr.trim()).toBe(`Zeitpunkt did not start: Port ${port} is used by another program. Choose another one with --port.`);
  const file = join(server.dataDir, 'a-file');
  writeFileSync(file, '');
  const unwritable = startOn('--port', '0', '--data', join(file, 'data'));
  expect(unwritable.status).toBe(1);
  expect(unwritable.stderr).toMatch(/^Zeitpunkt did not start: The data directory .* cannot be written: .*\.\n$/);
});

test('the first start for real use: the code from the console, a teacher, a class, and a lesson can begin', async ({ page }) => {
  const server = new TestServer({ demo: false });
  const code = /enter the code\s+(\d{8})/.exec(await server.start())?.[1];
  await page.goto(`${server.url}/`);
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
