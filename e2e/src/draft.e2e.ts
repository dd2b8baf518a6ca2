import { readFileSync } from 'node:fs';
import { expect, test } from './lib/classroom.js';
import { ScriptPage } from './lib/script.js';

test('from a wish to a taught question: a lesson is drafted, opened and asked in six actions', async ({ teacher, newPupil }) => {
  await teacher.signIn();
  const { page } = teacher;
  // The wish: the rung, and how long; live is chosen already. Three actions draft it, and the next opens the room.
  await teacher.to('Ladder');
  await page.getByRole('button', { name: /^Quarter past,/ }).click();
  await page.getByRole('combobox', { name: 'Length' }).click();
  await page.getByRole('option', { name: '12 min' }).click();
  await page.getByRole('button', { name: 'Draft the lesson' }).click();
  await expect(page.getByText('“Quarter past, 12 minutes” is drafted.').first()).toBeVisible();
  await teacher.to('Lessons');
  await expect(page.getByRole('listitem').filter({ hasText: 'Quarter past, 12 minutes' })).toContainText('12 min');
  const key = await teacher.openRoom('Quarter past, 12 minutes');
  const anouk = await newPupil('Anouk');
  await anouk.join(key);
  await teacher.begin();
  await teacher.goTo('Ask');
  await expect(anouk.stem).toHaveText('What time is it?');
  await anouk.read('3', '00');
  await anouk.expectKept();
  await teacher.goTo('Answer');
  await expect(anouk.sentence).toBeVisible();
});

test('a lesson goes out as a file and comes in again; a spoilt one is refused with the place', async ({ teacher }) => {
  await teacher.signIn();
  const { page } = teacher;
  const script = new ScriptPage(page);
  await script.open('Half past at the harbour');
  const [out] = await Promise.all([page.waitForEvent('download'), script.more('Save as a file')]);
  expect(out.suggestedFilename()).toBe('Half-past-at-the-harbour.lesson.json');
  const text = readFileSync(await out.path(), 'utf8');
  await teacher.to('Lessons');
  const takeIn = (content: string) =>
    page
      .getByLabel('Open a lesson file')
      .setInputFiles({ name: 'mine.lesson.json', mimeType: 'application/json', buffer: Buffer.from(content) });
  await takeIn(text.replace('"hour-first"', '"any"'));
  await expect(page.getByRole('alert')).toContainText('must be one of hour-first, minute-first at /settings/readingOrder');
  await takeIn(text);
  await expect(page.getByText('“Half past at the harbour” is among your drafts.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Open the room for Half past at the harbour' })).toHaveCount(2);
});

test('a finding of the checker is mended at a click, and the mend can be undone', async ({ teacher }) => {
  await teacher.signIn();
  const { page } = teacher;
  const script = new ScriptPage(page);
  await script.open('Half past at the harbour');
  await script.about();
  await script.write('Minutes', '20');
  await script.closeAbout();
  await expect(page.getByText('The lesson takes about 5 minutes, and 20 were wanted.')).toBeVisible();
  await page.getByRole('button', { name: 'Plan 5 minutes' }).click();
  await expect(page.getByText('and 20 were wanted')).toHaveCount(0);
  await expect(page.getByText('of 5:00 planned')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('and 20 were wanted')).toBeVisible();
});
