import { expect, type Page } from '@playwright/test';
import { ScriptPage } from './script.js';

/** The places of a recording, from its script on, each with how it is opened. */
export const RECORDING: readonly { readonly name: string; readonly open: (page: Page) => Promise<void> }[] = [
  {
    name: 'recorder',
    async open(page) {
      await new ScriptPage(page).more('Record');
      await page.getByRole('button', { name: /^2 Set/ }).click();
      await page.getByRole('button', { name: /^Captions: .*from the script/ }).click();
      await expect(page.getByLabel('Caption 1', { exact: true })).toBeVisible();
    },
  },
  {
    name: 'give, with a voice',
    async open(page) {
      await page.getByRole('link', { name: 'Give at own pace' }).click();
      await expect(page.getByText('36 of 36 steps are recorded as they are now')).toBeVisible();
    },
  },
  {
    name: 'transcript',
    async open(page) {
      await page.goBack();
      await page.getByRole('link', { name: 'Transcript' }).click();
      await expect(page.getByRole('heading', { name: /Beginning/ })).toBeVisible();
    },
  },
  {
    name: 'video',
    async open(page) {
      await page.goBack();
      await page.getByRole('link', { name: 'Make a video' }).click();
      await expect(page.getByRole('combobox', { name: 'Kind of file' })).toBeVisible();
    },
  },
];
