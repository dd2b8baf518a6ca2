import { expect, test } from './lib/classroom.js';
import { RECORDING } from './lib/recording-places.js';
import { ScriptPage } from './lib/script.js';

test('every place of the teacher fits a width of 320 pixels', async ({ teacher, server }) => {
  const { page } = teacher;
  await page.setViewportSize({ width: 320, height: 640 });
  const expectToFit = async (place: string) =>
    expect([place, await page.evaluate(() => document.documentElement.scrollWidth)]).toEqual([place, 320]);
  await page.goto(server.url);
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await expectToFit('sign-in');
  await teacher.signIn();
  await expect(page.getByRole('heading', { name: /^Drafts/ })).toBeVisible();
  await expectToFit('lessons');
  await teacher.to('Class');
  await expect(page.getByRole('row', { name: /Anouk/ })).toBeVisible();
  await expectToFit('class');
  await page.getByRole('button', { name: 'Edit names' }).click();
  await expect(page.getByRole('textbox', { name: 'Name of Anouk' })).toBeVisible();
  await expectToFit('class, names');
  await teacher.to('Today');
  await expect(page.getByRole('heading', { name: 'Any minute at the puffin count' })).toBeVisible();
  await expectToFit('today');
  await page.goto(`${server.url}/ladder?view=calendar`);
  await expect(page.getByRole('group', { name: 'Days' })).toBeVisible();
  await expectToFit('ladder');
  await page.getByRole('button', { name: 'More for the plan' }).click();
  await page.getByRole('menuitem', { name: 'Calendar files' }).click();
  await expect(page.getByRole('link', { name: 'Planned lessons (iCalendar)' })).toBeVisible();
  await expectToFit('calendar files');
  await page.keyboard.press('Escape');
  await teacher.to('School');
  await expect(page.getByRole('radio', { name: 'dark' })).toBeVisible();
  await expectToFit('school');
  await page.goto(`${server.url}/account`);
  await page.getByRole('button', { name: 'Use one-time codes' }).click();
  await expect(page.getByLabel('Six digits from the app')).toBeVisible();
  await expectToFit('account');
  await teacher.to('School');
  await page.getByRole('link', { name: 'Take in a class' }).click();
  await expect(page.getByLabel('Choose the file')).toBeVisible();
  await expectToFit('class from a file');
  await teacher.to('Paper');
  await expect(page.getByRole('img', { name: /^Page 1/ })).toBeVisible();
  await expectToFit('paper');
  await page.goto(`${server.url}/lessons`);
  await page.getByRole('link', { name: /^Look on/ }).click();
  await expect(page.getByText(/are done/)).toBeVisible();
  await expectToFit('own pace');
  await page.goto(`${server.url}/lessons`);
  const script = new ScriptPage(page);
  await script.open('Half past at the harbour');
  await expectToFit('script');
  await script.about();
  await expectToFit('about a lesson');
  await script.closeAbout();
  await page.getByRole('link', { name: 'Rehearse' }).click();
  await page.getByRole('button', { name: 'Begin the rehearsal' }).click();
  await expect(teacher.place).toContainText('Step 1 of');
  await expectToFit('rehearse');
  await page.getByRole('button', { name: 'End the rehearsal' }).click();
  await expect(page.getByRole('heading', { name: 'What it took' })).toBeVisible();
  await expectToFit('what a rehearsal took');
  await page.goto(`${server.url}/lessons`);
  await script.open('Quarters at the tide gauge');
  for (const place of RECORDING) {
    await place.open(page);
    await expectToFit(place.name);
  }
  await page.goto(server.url);
  await page.getByRole('link', { name: /^Show (the card|\d+ cards)/ }).click();
  await expect(page.getByRole('button', { name: 'Show it' })).toBeVisible();
  await expectToFit('daily card');
  await teacher.to('Lessons');
  await page
    .getByRole('link', { name: /^Review ./ })
    .first()
    .click();
  await expect(page.getByRole('columnheader', { name: /Question 1/ })).toBeVisible();
  await expectToFit('review');
  await page.getByRole('link', { name: /^All lessons of Terns/ }).click();
  await expect(page.getByText('6 questions, made to measure').first()).toBeVisible();
  for (const look of ['Groups', 'Who can do what', 'Ideas', 'For home']) {
    await page.getByRole('tab', { name: look }).click();
    await expect(page.getByRole('tab', { name: look })).toHaveAttribute('aria-selected', 'true');
    await expectToFit(`class review, ${look}`);
  }
  await teacher.to('Dials');
  await expect(page.getByRole('button', { name: 'Show to pupils' })).toBeVisible();
  await expectToFit('dials');
  await teacher.to('Lessons');
  await teacher.openRoom();
  await expectToFit('console, lobby');
  await teacher.begin();
  await teacher.goTo('Ask');
  await page.getByRole('button', { name: 'Arc', exact: true }).click();
  await expectToFit('console');
});

test('a pupil with a keyboard alone comes in, reads a dial and sets one, with places spoken', async ({ teacher, newPupil, server }) => {
  await teacher.signIn();
  const key = await teacher.openRoom();
  const { page } = await newPupil('Tove');
  const focused = () =>
    page.evaluate(() => document.activeElement?.getAttribute('aria-label') ?? document.activeElement?.textContent?.trim() ?? '');
  const tabTo = async (name: string) => {
    for (let presses = 0; presses < 60; presses++) {
      await page.keyboard.press('Tab');
      if ((await focused()) === name) return;
    }
    throw new Error(`Tab never came to “${name}”.`);
  };
  await page.goto(`${server.url}/desk`);
  await page.getByRole('button', { name: 'boat' }).waitFor();
  for (const picture of key) {
    await tabTo(picture);
    await page.keyboard.press('Enter');
  }
  await page.getByRole('button', { name: 'Tove' }).waitFor();
  await tabTo('Tove');
  await page.keyboard.press('Enter');
  await page.getByText('You are in, Tove.').waitFor();
  await teacher.begin();
  await teacher.goTo('Ask');
  await page.getByRole('textbox', { name: 'Hour' }).waitFor();
  await tabTo('Hour');
  await page.keyboard.type('7');
  expect(await focused()).toBe('Minutes');
  await page.keyboard.type('30');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Kept.')).toBeVisible();
  await teacher.goTo('Ask');
  await page.getByRole('slider').first().waitFor();
  await tabTo('Short hour hand');
  for (let press = 0; press < 4; press++) await page.keyboard.press('ArrowUp');
  await expect(page.getByRole('slider', { name: 'Short hour hand' })).toHaveAttribute('aria-valuetext', 'at 2');
  await tabTo('Long minute hand');
  for (let press = 0; press < 5; press++) await page.keyboard.press('PageUp');
  await expect(page.getByRole('slider', { name: 'Long minute hand' })).toHaveAttribute('aria-valuetext', 'at 5');
  await page.keyboard.press('PageUp');
  await tabTo('This is my answer');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Kept.')).toBeVisible();
  await expect(teacher.wall.getByRole('region', { name: 'Right' })).not.toHaveText('');
});
