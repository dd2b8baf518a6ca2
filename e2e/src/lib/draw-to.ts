import type { Locator, Page } from '@playwright/test';

/** Draws something to the middle of something else with the mouse, both in sight. */
export async function drawTo(page: Page, what: Locator, where: Locator): Promise<void> {
  await what.scrollIntoViewIfNeeded();
  const [from, to] = [(await what.boundingBox())!, (await where.boundingBox())!];
  await page.mouse.move(from.x + 8, from.y + from.height / 2);
  await page.mouse.down();
  // A drag begins some pixels away, and only then does what is dragged follow.
  await page.mouse.move(from.x - 12, from.y + from.height / 2, { steps: 4 });
  await page.mouse.move(to.x + to.width / 2, to.y + to.height / 2, { steps: 10 });
  await page.mouse.up();
}
