import type { BrowserContext, TestInfo } from '@playwright/test';

/** So much of a page is told. */
const MOST_LINES = 120;

/** Writes down what the pages of a journey that failed show, since whoever reads the log of a run has nothing else of it. */
export async function tellPages({ status, expectedStatus }: TestInfo, context: BrowserContext): Promise<void> {
  if (status === expectedStatus) return;
  for (const page of context.pages()) {
    const seen = await page
      .locator('body')
      .ariaSnapshot({ timeout: 5000 })
      .catch((error: unknown) => `(${String(error)})`);
    console.log(`What ${page.url()} shows:\n${seen.split('\n').slice(0, MOST_LINES).join('\n')}\n`);
  }
}
