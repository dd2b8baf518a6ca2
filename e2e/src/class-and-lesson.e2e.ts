import { expect, test } from './lib/classroom.js';
import { DialsPage } from './lib/dials.js';
import { ScriptPage } from './lib/script.js';

test('a class changes while its room is open: names are put right everywhere, a deleted pupil is gone', async ({ teacher, newPupil }) => {
  await teacher.signIn();
  const { page } = teacher;
  const key = await teacher.openRoom();
  const [gita, hamza] = [await newPupil('Gita'), await newPupil('Hamza')];
  for (const pupil of [gita, hamza]) await pupil.join(key);
  await expect(teacher.page.getByRole('button', { name: '2 of 26 are in' })).toBeVisible();

  const office = await page.context().newPage();
  await office.goto(page.url().replace(/console.*/, 'today'));
  await office.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Class', exact: true }).click();
  await office.getByRole('button', { name: 'Edit names' }).click();
  const name = office.getByRole('textbox', { name: 'Name of Gita' });
  await name.fill('Gita Sand');
  await name.blur();
  await expect(office.getByText('Gita is Gita Sand from now on.')).toBeVisible();
  await expect(gita.page.getByText('You are in, Gita Sand.')).toBeVisible();
  await expect(teacher.page.getByRole('region', { name: 'The class' })).toContainText('Gita Sand');
  await office.getByRole('button', { name: 'Add pupils' }).click();
  await office.getByRole('menuitem', { name: 'Type names' }).click();
  await office.getByLabel('Names, one on each line').fill('Marit');
  await office.getByRole('button', { name: 'Add 1 pupil' }).click();
  await expect(teacher.page.getByRole('button', { name: '2 of 27 are in' })).toBeVisible();
  await office.getByRole('button', { name: 'More about Hamza' }).click();
  await office.getByRole('menuitem', { name: 'Delete with all answers' }).click();
  await office.getByRole('dialog').getByRole('button', { name: 'Delete', exact: true }).click();
  await expect(teacher.page.getByRole('button', { name: '1 of 26 are in' })).toBeVisible();
  await expect(hamza.page.getByRole('heading', { name: /Which pictures/ })).toBeVisible();
});

test('a lesson follows another school from its sheet on; two windows do not overwrite each other', async ({ teacher }) => {
  await teacher.signIn();
  const { page } = teacher;
  const script = new ScriptPage(page);
  await script.open('Half past at the harbour');
  await script.about();
  await expect(page.getByText('It has passed 12, and 1 comes next: the hour is 12.')).toBeVisible();
  const other = await page.context().newPage();
  await other.goto(page.url());
  const there = new ScriptPage(other);
  await there.about();
  await page.getByRole('radio', { name: 'step back to the one before' }).click();
  await expect(page.getByText('Step back to the numeral before it: that is 12.')).toBeVisible();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();

  await there.write('Title', 'Half past at the pier');
  await there.closeAbout();
  await expect(other.getByRole('alert')).toContainText('was changed meanwhile, from another window. Nothing was overwritten.');
  await other.getByRole('button', { name: 'Go on with the other' }).click();
  await there.about();
  await expect(other.getByRole('radio', { name: 'step back to the one before' })).toBeChecked();
  await other.close();

  await script.closeAbout();
  await teacher.to('Lessons');
  await teacher.openRoom();
  await teacher.begin();
  await teacher.goTo('Worked example');
  await teacher.next();
  await teacher.next();
  await expect(page.getByText('Step back to the numeral before it: that is 4.')).toBeVisible();
});

test('a dial built in two windows is lost in neither', async ({ teacher, server }) => {
  await teacher.signIn();
  await expect(teacher.page.getByRole('heading', { name: /^Drafts/ })).toBeVisible();
  const mine = new DialsPage(teacher.page, server);
  await mine.open();
  const theirs = new DialsPage(await teacher.page.context().newPage(), server);
  await theirs.open();
  await theirs.type('9:45');
  await expect(theirs.page.getByText('Saved', { exact: true })).toBeVisible();
  await mine.type('4:05');
  await expect(mine.page.getByRole('alert').filter({ hasText: 'was changed meanwhile' })).toBeVisible();
  await mine.page.getByRole('button', { name: 'Keep mine as a new dial' }).click();
  await expect(mine.page.getByLabel('Name of this dial')).toHaveValue('My first dial 2');
  await mine.page.reload();
  for (const [name, digits] of [
    ['My first dial', '9:45'],
    ['My first dial 2', '4:05'],
  ] as const) {
    await mine.page.getByRole('button', { name, exact: true }).click();
    await expect(mine.reading).toContainText(digits);
  }
});

test('an address that names no place says so and shows the way', async ({ teacher, server }) => {
  await teacher.page.goto(`${server.url}/no/such/place`);
  await expect(teacher.page.getByRole('heading', { name: 'There is nothing at this address.' })).toBeVisible();
  await teacher.page.getByRole('link', { name: 'To a pupil’s desk' }).click();
  await expect(teacher.page.getByRole('heading', { name: /Which pictures/ })).toBeVisible();
});
