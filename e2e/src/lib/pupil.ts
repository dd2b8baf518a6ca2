import { expect, type Locator, type Page } from '@playwright/test';
import type { TestServer } from './server.js';

/** A pupil at the desk, acting through the screen alone. */
export class PupilPage {
  constructor(
    readonly page: Page,
    readonly name: string,
    private readonly server: Pick<TestServer, 'url'>,
  ) {}

  async enterKey(key: readonly string[]): Promise<void> {
    await this.page.goto(`${this.server.url}/desk`);
    if (key.length > 4) await this.page.getByRole('button', { name: 'There are six pictures' }).click();
    for (const picture of key) await this.page.getByRole('button', { name: picture, exact: true }).click();
  }

  async join(key: readonly string[]): Promise<void> {
    await this.enterKey(key);
    await this.page.getByRole('button', { name: this.name, exact: true }).click();
    await expect(this.page.getByRole('button', { name: /^(More|Mehr)$/ })).toBeVisible();
  }

  /** The same device with its tab opened anew. */
  async reopen(): Promise<PupilPage> {
    const page = await this.page.context().newPage();
    await page.goto(`${this.server.url}/desk`);
    return new PupilPage(page, this.name, this.server);
  }

  async read(hour: string, minute: string): Promise<void> {
    await this.page.getByRole('textbox', { name: 'Hour' }).fill(hour);
    await this.page.getByRole('textbox', { name: 'Minutes' }).fill(minute);
    await this.send();
  }

  /** Turns hands with the arrow keys: so many presses of a key on a hand. */
  async turn(hand: 'hour' | 'minute', key: string, times: number): Promise<void> {
    const slider = this.page.getByRole('slider', { name: new RegExp(hand) });
    await slider.focus();
    for (let press = 0; press < times; press++) await slider.press(key);
  }

  /** Drags the minute hand from 12 round through directions, in degrees clockwise from 12. */
  async dragMinuteHand(throughDeg: readonly number[]): Promise<void> {
    const box = (await this.page.locator('zp-turning-dial svg').boundingBox())!;
    const radius = Math.min(box.width, box.height) * 0.38;
    const to = (deg: number, steps: number) => {
      const rad = (deg * Math.PI) / 180;
      return this.page.mouse.move(box.x + box.width / 2 + radius * Math.sin(rad), box.y + box.height / 2 - radius * Math.cos(rad), {
        steps,
      });
    };
    await to(0, 1);
    await this.page.mouse.down();
    for (const deg of throughDeg) await to(deg, 8);
    await this.page.mouse.up();
  }

  async send(): Promise<void> {
    await this.page.getByRole('button', { name: 'This is my answer' }).click();
  }

  async expectKept(): Promise<void> {
    await expect(this.page.getByText('Kept.')).toBeVisible();
  }

  get stem(): Locator {
    return this.page.getByRole('heading', { level: 1 });
  }

  get sentence(): Locator {
    return this.page.locator('.sentence');
  }
}
