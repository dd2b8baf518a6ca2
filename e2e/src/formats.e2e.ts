import { unzipSync } from 'fflate';
import { readFile } from 'node:fs/promises';
import { expectAccessible } from './lib/accessible.js';
import { expect, test } from './lib/classroom.js';
import { ScriptPage } from './lib/script.js';

const fileOf = async (download: { path(): Promise<string> }) => readFile(await download.path());

test('a class goes out as one file, is deleted, and comes in again with all of its answers', async ({ teacher, server }) => {
  await teacher.signIn();
  const { page } = teacher;
  await teacher.to('Class');
  await page.getByRole('button', { name: 'More for the class' }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'Everything of this class as one file' }).click(),
  ]);
  const archive = await fileOf(download);
  expect(Object.keys(unzipSync(archive))).toEqual(expect.arrayContaining(['class.json', 'plan.json', 'results.jsonl']));

  const takeIn = async () => {
    await page.goto(`${server.url}/school`);
    await page.getByRole('link', { name: 'Take in a class' }).click();
    await page.getByLabel('Choose the file').setInputFiles({ name: 'terns.zip', mimeType: 'application/zip', buffer: archive });
  };
  await takeIn();
  await expect(page.getByRole('alert')).toHaveText(/Lessons of Terns are in this school already.*Nothing was changed\./);
  await page.getByLabel('Choose the file').setInputFiles({ name: 'a.zip', mimeType: 'application/zip', buffer: Buffer.from('no archive') });
  await expect(page.getByRole('alert')).toHaveText('This is no ZIP archive. Nothing was changed.');
  await expectAccessible(page);

  await page.goto(`${server.url}/lessons`);
  await teacher.to('Class');
  await page.getByRole('button', { name: 'More for the class' }).click();
  await page.getByRole('menuitem', { name: 'Delete this class' }).click();
  await page.getByRole('button', { name: 'Delete the class', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Three steps to the first lesson' })).toBeVisible();
  await takeIn();
  await expect(page.getByText(/^Terns: 26 pupils/)).toBeVisible();
  await page.getByRole('button', { name: 'Take the class in' }).click();
  await expect(page.getByRole('row', { name: /Zeb/ })).toBeVisible();
  await page.goto(`${server.url}/lessons`);
  await teacher.to('Review');
  await expect(page.getByText('6 questions, made to measure').first()).toBeVisible();
});

test('questions go out as a package with what is lost said, come in again, and can be taken back', async ({ teacher }) => {
  await teacher.signIn();
  const { page } = teacher;
  const script = new ScriptPage(page);
  await script.open('Quarters at the tide gauge');
  const questions = script.beats(/Ask/);
  const before = await questions.count();
  await script.more('Questions as a package');
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByText('Question 3: Hands cannot be set there')).toBeVisible();
  const [download] = await Promise.all([page.waitForEvent('download'), dialog.getByRole('button', { name: 'Save the package' }).click()]);
  const bytes = await fileOf(download);
  expect(Object.keys(unzipSync(bytes))).toContain('imsmanifest.xml');
  await expectAccessible(page);
  await dialog.getByLabel('Choose a package').setInputFiles({ name: 'b.zip', mimeType: 'application/zip', buffer: Buffer.from('PK no') });
  await expect(dialog.getByRole('alert')).toContainText('Nothing was changed.');
  await dialog.getByLabel('Choose a package').setInputFiles({ name: 'q.zip', mimeType: 'application/zip', buffer: bytes });
  await expect(dialog.getByText('4 questions can be taken, 0 cannot.')).toBeVisible();
  await dialog.getByRole('button', { name: 'Add 4 to the lesson' }).click();
  await expect(questions).toHaveCount(before + 4);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(questions).toHaveCount(before);
});

test('planned lessons go out as a calendar, days off come in from one, and a dial goes out and in', async ({ teacher }) => {
  await teacher.signIn();
  const { page } = teacher;
  await teacher.to('Ladder');
  await page.getByRole('button', { name: 'More for the plan' }).click();
  await page.getByRole('menuitem', { name: 'Calendar files' }).click();
  const link = page.getByRole('link', { name: 'Planned lessons (iCalendar)' });
  const [download] = await Promise.all([page.waitForEvent('download'), link.click()]);
  const calendar = (await fileOf(download)).toString();
  const days = [...calendar.matchAll(/^DTSTART;VALUE=DATE:(\d{8})/gm)].map(([, day]) => day!);
  expect(days.length).toBeGreaterThan(1);
  // The day of the last planned lesson falls out: that lesson moves on.
  const last = days.at(-1)!;
  const event = `BEGIN:VEVENT\r\nUID:storm\r\nDTSTAMP:20261101T000000Z\r\nDTSTART;VALUE=DATE:${last}\r\nSUMMARY:Storm\r\nEND:VEVENT\r\n`;
  const lunch = 'BEGIN:VEVENT\r\nUID:lunch\r\nDTSTAMP:20261101T000000Z\r\nDTSTART:20261130T120000Z\r\nSUMMARY:Lunch\r\nEND:VEVENT\r\n';
  const file = `BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//Harbour//Tides//EN\r\n${event}${lunch}END:VCALENDAR\r\n`;
  const field = page.getByLabel('Days off from a calendar file');
  await field.setInputFiles({ name: 'no.ics', mimeType: 'text/calendar', buffer: Buffer.from('hello') });
  await expect(page.getByRole('alert')).toHaveText('This is no calendar file (iCalendar). Nothing was changed.');
  await field.setInputFiles({ name: 'off.ics', mimeType: 'text/calendar', buffer: Buffer.from(file) });
  await expect(page.getByText(/: Storm$/)).toBeVisible();
  await page.getByText('1 left out').click();
  await expect(page.getByText(/Lunch: It is at a time of day/)).toBeVisible();
  await page.getByRole('button', { name: 'Make 1 day off' }).click();
  await expect(page.getByText('1 day is off now')).toBeVisible();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  const [moved] = await Promise.all([page.waitForEvent('download'), link.click()]);
  expect((await fileOf(moved)).toString()).not.toContain(`DATE:${last}`);
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await page.getByRole('button', { name: 'More for the plan' }).click();
  await page.getByRole('menuitem', { name: 'Undo in the plan' }).click();

  await teacher.to('Dials');
  await page.getByRole('button', { name: 'More for this dial' }).click();
  const [dial] = await Promise.all([page.waitForEvent('download'), page.getByRole('menuitem', { name: 'Save as a dial file' }).click()]);
  const bytes = await fileOf(dial);
  const { name } = JSON.parse(bytes.toString()) as { name: string };
  const open = page.getByLabel('Open a dial file');
  await open.setInputFiles({ name: 'x.dial.json', mimeType: 'application/json', buffer: Buffer.from('{"format":"other"}') });
  await expect(page.getByRole('alert').filter({ hasText: 'This is no dial file' })).toBeVisible();
  await open.setInputFiles({ name: 'x.dial.json', mimeType: 'application/json', buffer: bytes });
  await expect(page.getByRole('button', { name: new RegExp(`^${name} \\d|^${name} \\(`) }).first()).toBeVisible();
});
