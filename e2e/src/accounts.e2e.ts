import type { Page } from '@playwright/test';
import { expect, test } from './lib/classroom.js';

const chooseFor = async (page: Page, name: string, act: string) => {
  await page.getByRole('button', { name: `What can be done for ${name}` }).click();
  await page.getByRole('menuitem', { name: act }).click();
};

test('a colleague comes, forgets the password, is helped in again, and takes over the class', async ({ teacher, server, browser }) => {
  const { page } = teacher;
  await teacher.signIn();
  await teacher.to('School');
  await page.getByRole('button', { name: 'Invite a colleague' }).click();
  await page.getByLabel('For whom').fill('Ruan, class 2');
  await page.getByRole('button', { name: 'Make a code' }).click();
  const link = await page.getByText(/\/invited#code=/).innerText();
  await page.getByRole('button', { name: 'Close' }).click();

  const ruan = await (await browser.newContext()).newPage();
  await ruan.goto(`${server.url}${link.slice(link.indexOf('/invited'))}`);
  await ruan.getByLabel('Your name, as pupils know it').fill('Mr Ruan Holm');
  await ruan.getByLabel('Sign-in name').fill('ruan');
  await ruan.getByLabel('Password').fill('puffins-on-the-ness');
  await ruan.getByLabel('Your class').fill('Puffins');
  await ruan.getByRole('button', { name: 'Start' }).click();
  await expect(ruan.getByRole('navigation', { name: 'Places' })).toBeVisible();

  // Another browser, and the password is forgotten.
  const tablet = await (await browser.newContext()).newPage();
  await tablet.goto(`${server.url}/sign-in`);
  await tablet.getByRole('link', { name: 'Choose a new one with a code' }).click();
  await page.reload();
  await chooseFor(page, 'Mr Ruan Holm', 'Make a code for a new password');
  await page.getByRole('button', { name: 'Make a code' }).click();
  const code = await page
    .getByRole('dialog')
    .getByText(/^\w{4}-\w{4}-\w{4}$/)
    .innerText();
  await page.getByRole('button', { name: 'Close' }).click();
  await tablet.getByLabel('Sign-in name').fill('ruan');
  await tablet.getByLabel('Code').fill(code);
  await tablet.getByLabel('New password').fill('guillemot-on-the-tide');
  await tablet.getByRole('button', { name: 'Choose it and sign in' }).click();
  await expect(tablet.getByRole('navigation', { name: 'Places' })).toBeVisible();
  await ruan.goto(`${server.url}/account`);
  await expect(ruan.getByRole('button', { name: 'Sign in' })).toBeVisible(); // the other browser is signed out

  // The class goes over, with what was taught in it.
  await teacher.to('Class');
  await page.getByRole('button', { name: 'More for the class' }).click();
  await page.getByRole('menuitem', { name: 'Hand this class over' }).click();
  const asking = page.getByRole('dialog', { name: 'Hand Terns over' });
  await expect(asking.getByRole('combobox', { name: 'To which colleague' })).toContainText('Mr Ruan Holm');
  await asking.getByRole('button', { name: 'Hand it over' }).click();
  await expect(page.getByRole('button', { name: /^Class No class/ })).toBeVisible();
  await teacher.to('School');
  await expect(page.getByRole('row', { name: /Handed a class over: Terns → Mr Ruan Holm/ })).toBeVisible();
  await tablet.goto(`${server.url}/school`);
  await expect(tablet.getByRole('row', { name: /^Mr Ruan Holm you Terns and Puffins/ })).toBeVisible();

  // The role of the first teacher, and then the account, of which only lessons are left.
  await chooseFor(page, 'Mr Ruan Holm', 'Make the first teacher');
  await page.getByRole('button', { name: 'Hand the role on' }).click();
  await expect(page.getByText('The first teacher of this school can invite others.')).toBeVisible();
  await page.getByRole('button', { name: /how it looks, your account/ }).click();
  await page.getByRole('menuitem', { name: 'Your account' }).click();
  await page.getByRole('button', { name: 'Close my account' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Close the account' }).click();
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await tablet.reload();
  await expect(tablet.getByRole('row', { name: /^Closed|Closed the account of Ms Odalys Fenn/ })).toBeVisible();
});
