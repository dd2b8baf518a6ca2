import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/**
 * WCAG 2.2 AA and the best practices of axe: nothing may be found.
 * @param place as it is called when something is
 * @param within a part of the page that alone is looked at
 */
export async function expectAccessible(page: Page, place = page.url(), within = 'html'): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).include(within).analyze();
  expect({ place, found: violations.map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.html).join(' ')}`) }).toEqual({
    place,
    found: [],
  });
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
