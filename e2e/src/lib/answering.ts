import { expect, type Locator, type Page } from '@playwright/test';

/** What the presses at the foot of a question say, and what stands there once an answer is kept. */
export const FOOT = {
  en: { send: 'This is my answer', kept: 'Kept.', notSure: 'I am not sure' },
  de: { send: 'Das ist meine Antwort', kept: 'Aufgehoben.', notSure: 'Ich bin nicht sicher' },
} as const;
export type Tongue = keyof typeof FOOT;

/** Where the answer to whatever is asked is put together, and by which part of the desk. */
async function partFor(page: Page): Promise<{ work: Locator; tag: string }> {
  const work = page.locator('.work .answer > *');
  await work.waitFor();
  return { work, tag: await work.evaluate((element) => element.tagName.toLowerCase()) };
}

async function sent(page: Page, tongue: Tongue, press: (send: Locator) => Promise<void>): Promise<void> {
  const send = page.getByRole('button', { name: FOOT[tongue].send });
  // Whatever is asked, what ends it is in sight without scrolling.
  await expect(send).toBeInViewport({ ratio: 1 });
  await press(send);
  await expect(page.getByText(FOOT[tongue].kept)).toBeVisible();
}

/** Gives some answer by touch alone. */
export async function answerByTouch(page: Page, tongue: Tongue): Promise<void> {
  const { work, tag } = await partFor(page);
  if (tag === 'zp-choices-answer') await work.getByRole('button').first().tap();
  else if (tag === 'zp-pairs-answer') for (const partner of await work.locator('.partners button').all()) await partner.tap();
  else if (tag === 'zp-order-answer') await work.locator('li button:enabled').first().tap();
  else if (tag === 'zp-line-answer') {
    const box = (await work.getByRole('slider').boundingBox())!;
    await page.touchscreen.tap(box.x + box.width / 2, box.y + box.height / 2);
  } else if (tag === 'zp-words-answer') for (const place of [0, 1, 2]) await work.getByRole('group').getByRole('button').nth(place).tap();
  else if (tag === 'zp-pose-answer') await work.locator('zp-hand-steps button').last().tap();
  else for (const digit of ['7', '3', '0']) await work.getByRole('button', { name: digit, exact: true }).tap();
  await sent(page, tongue, (send) => send.tap());
}

/** Goes on with Tab until something has the focus: it has to be reached so. */
async function tabTo(page: Page, wanted: Locator): Promise<void> {
  const isThere = () => wanted.evaluate((element) => element === document.activeElement);
  for (let press = 0; press < 80 && !(await isThere()); press++) await page.keyboard.press('Tab');
  await expect(wanted).toBeFocused();
}

/** Gives some answer by keys alone, from where the focus is. */
export async function answerByKeys(page: Page, tongue: Tongue): Promise<void> {
  const { work, tag } = await partFor(page);
  const strike = async (on: Locator, ...keys: string[]) => {
    await tabTo(page, on);
    for (const key of keys) await page.keyboard.press(key);
  };
  if (tag === 'zp-choices-answer') await strike(work.getByRole('button').first(), 'Space');
  else if (tag === 'zp-pairs-answer') for (const partner of await work.locator('.partners button').all()) await strike(partner, 'Enter');
  else if (tag === 'zp-order-answer') await strike(work.locator('li button:enabled').first(), 'Enter');
  else if (tag === 'zp-line-answer') await strike(work.getByRole('slider'), ...Array<string>(15).fill('ArrowRight'));
  else if (tag === 'zp-words-answer') await strike(work.getByRole('textbox').first(), 'h', 'a', 'l', 'b');
  else if (tag === 'zp-pose-answer') await strike(work.getByRole('slider').last(), 'ArrowRight', 'PageUp');
  else await strike(work.getByRole('textbox').first(), '7');
  await sent(page, tongue, (send) => strike(send, 'Enter'));
}

export async function notSure(page: Page, tongue: Tongue): Promise<void> {
  await page.getByRole('button', { name: FOOT[tongue].notSure }).click();
  await expect(page.getByText(FOOT[tongue].kept)).toBeVisible();
}
