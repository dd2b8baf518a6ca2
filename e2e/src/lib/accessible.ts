import { expect, type Page } from '@playwright/test';
import axeCore from 'axe-core';

/** What can differ between light and dark. */
const OF_COLOUR = ['color-contrast', 'link-in-text-block'];

/**
 * WCAG 2.2 AA and the best practices of axe: nothing may be found, in light and in dark.
 * @param place as it is called when something is
 * @param within a part of the page that alone is looked at
 */
export async function expectAccessible(page: Page, place = page.url(), within = 'html'): Promise<void> {
  const found = await foundBy(page, within);
  await page.emulateMedia({ colorScheme: 'dark' });
  const inDark = await foundBy(page, within, OF_COLOUR);
  await page.emulateMedia({ colorScheme: 'light' });
  expect({ place, found, inDark }).toEqual({ place, found: [], inDark: [] });
}

async function foundBy(page: Page, within: string, rules?: string[]): Promise<string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axeCore.source); // once for each document
  // Without a list of all that is fine: most of its time went there.
  const violations = await page.evaluate(
    async ([include, runOnly]) => {
      const { axe } = window as unknown as { readonly axe: typeof axeCore };
      const found = await axe.run(include, { resultTypes: ['violations'], iframes: false, ...(runOnly && { runOnly }) });
      return found.violations.map(({ id, nodes }) => ({ id, html: nodes.map((node) => node.html) }));
    },
    [within, rules] as const,
  );
  return violations.map(({ id, html }) => `${id}: ${html.join(' ')}`);
}

/** Nothing sticks out sideways, and everything to press is at least 48 px high and wide. */
export async function expectUsableByThumb(page: Page, place: string): Promise<void> {
  const found = await page.evaluate(() => ({
    sideways: document.documentElement.scrollWidth > innerWidth,
    small: [...document.querySelectorAll<HTMLElement>('button, input')]
      .filter((one) => one.offsetParent !== null)
      .map((one) => ({ text: one.textContent?.trim() ?? one.id, width: one.offsetWidth, height: one.offsetHeight }))
      .filter(({ width, height }) => width < 48 || height < 48),
  }));
  expect({ place, ...found }).toEqual({ place, sideways: false, small: [] });
}
