import { spawnSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { connect } from 'node:net';
import { join } from 'node:path';
import { expect, PHONE, test } from './lib/classroom.js';
import { TestServer } from './lib/server.js';

const MAIN = join(import.meta.dirname, '../../server/dist/main.js');
const startOn = (...args: string[]) => spawnSync(process.execPath, [MAIN, ...args], { encoding: 'utf8', timeout: 120_000 });

test.use({ ownProcess: true });

test('empty fields say what they want, and the first of them is gone to', async ({ teacher, server }) => {
  const { page } = teacher;
  await page.goto(`${server.url}/`);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByText('Please enter your sign-in name.')).toBeVisible();
  await expect(page.getByText('Please enter your password.')).toBeVisible();
  await expect(page.getByLabel('Sign-in name')).toBeFocused();
});

test('without scripts, or with a browser that is too old for them, the page says so', async ({ browser, server }) => {
  const context = await browser.newContext({ javaScriptEnabled: false });
  const page = await context.newPage();
  await page.goto(`${server.url}/desk`);
  await expect(page.getByText('its browser is too old')).toBeVisible();
  await context.close();
});

test('a browser of 2021 has the desk: what it lacks is made up for', async ({ teacher, newPupil }) => {
  await teacher.signIn();
  const key = await teacher.openRoom();
  const anouk = await newPupil('Anouk', PHONE);
  await anouk.page.addInitScript(() => {
    for (const name of ['at', 'findLast', 'findLastIndex']) Reflect.deleteProperty(Array.prototype, name);
    Reflect.deleteProperty(Object, 'hasOwn');
    for (const name of ['showModal', 'close', 'show']) Reflect.deleteProperty(HTMLDialogElement.prototype, name);
    for (const name of ['requestIdleCallback', 'structuredClone']) Reflect.deleteProperty(window, name);
  });
  const problems: string[] = [];
  anouk.page.on('pageerror', ({ message }) => problems.push(message));
  await anouk.join(key);
  await teacher.begin();
  await teacher.goTo('Ask');
  await anouk.read('7', '30');
  await anouk.expectKept();
  await anouk.page.getByRole('button', { name: 'More', exact: true }).click();
  await anouk.page.getByRole('button', { name: 'Leave' }).click();
  await anouk.page.getByRole('button', { name: 'Stay here' }).click();
  await expect(anouk.page.getByRole('button', { name: 'Stay here' })).toBeHidden();
  expect(problems).toEqual([]);
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
  await expect(teacher.page.getByRole('heading', { name: /^Drafts/ })).toBeVisible();
  await teacher.page.goto(`${server.url}/console/00000000-0000-4000-8000-000000000000`);
  await expect(teacher.page.getByRole('alert')).toContainText('There is no such lesson run among yours.');
});

test('signing out in one window ends the others of that browser', async ({ teacher }) => {
  await teacher.signIn();
  await teacher.openRoom();
  const lessons = await teacher.page.context().newPage();
  await lessons.goto(new URL('/lessons', teacher.page.url()).href);
  await lessons.getByRole('button', { name: /signing out$/ }).click();
  await lessons.getByRole('menuitem', { name: 'Sign out' }).click();
  await expect(teacher.page.getByRole('heading', { name: 'Sign in to teach' })).toBeVisible();
  await teacher.page.getByLabel('Sign-in name').fill('odalys');
  await teacher.page.getByLabel('Password').fill('tern-harbour-lamp');
  await teacher.page.getByRole('button', { name: 'Sign in' }).click();
  await expect(teacher.page.getByRole('heading', { name: 'The way in' })).toBeVisible(); // where one was
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

test('the first start for real use: from the code in the console to a class of 20 with cards and a draft, in twelve actions', async ({
  page,
}) => {
  const server = new TestServer({ demo: false });
  const code = /enter the code\s+(\d{8})/.exec(await server.start())?.[1];
  await page.goto(`${server.url}/`);
  await page.getByRole('button', { name: 'Start' }).click();
  for (const wanted of ['the code', 'your name']) await expect(page.getByText(`Please enter ${wanted}.`)).toBeVisible();
  await page.getByLabel('Set-up code').fill('11111111');
  let actions = 0;
  const act = async (done: Promise<unknown>) => {
    actions += 1;
    await done;
  };
  const press = (name: string) => act(page.getByRole('button', { name }).click());
  await act(page.getByLabel('Your name').fill('Mr Tarn Quay'));
  await expect(page.getByLabel('Sign-in name')).toHaveValue('quay');
  await act(page.getByLabel('Password').fill('a-long-password'));
  await act(page.getByLabel('Your class').fill('Puffins'));
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByRole('alert')).toContainText('That is not the set-up code');
  await act(page.getByLabel('Set-up code').fill(code!));
  await press('Start');

  // Each step leads to the next one.
  await expect(page.getByRole('heading', { name: 'Three steps to the first lesson' })).toBeVisible();
  await press('Take in a list');
  const list = Array.from({ length: 20 }, (_, index) => `Pupil${index + 1};Quay;q-${index}`).join('\r\n');
  const file = { name: 'puffins.csv', mimeType: 'text/csv', buffer: Buffer.from(`Vorname;Nachname;Kennung\r\n${list}`) };
  await act(page.getByLabel('List of pupils').setInputFiles(file));
  await press('Take 20 pupils into the class');
  await press('Make 20 cards');
  await expect(page.getByRole('list', { name: 'Cards' }).getByRole('listitem')).toHaveCount(20);
  await act(page.getByRole('link', { name: 'On to a lesson' }).click());
  await press('Draft the lesson');
  await expect(page.getByText(/^“Whole hours, 15 minutes” is drafted/).first()).toBeVisible();
  expect(actions).toBeLessThanOrEqual(12);
  await page.getByRole('button', { name: 'Open the room' }).click();
  await expect(page.getByRole('button', { name: '0 of 20 are in' })).toBeVisible();
  await server.stop();
});
