import { expect, type Locator, type Page } from '@playwright/test';
import type { TestServer } from './server.js';

/** A pupil at the desk, acting through the screen alone. */
export class PupilPage {
  constructor(
    readonly page: Page,
    readonly name: string,
    private readonly server: TestServer,
  ) {}

  async enterKey(key: readonly string[]): Promise<void> {
    await this.page.goto(`${this.server.url}/desk`);
    for (const picture of key) await this.page.getByRole('button', { name: picture, exact: true }).click();
  }

  async join(key: readonly string[]): Promise<void> {
    await this.enterKey(key);
    await this.page.getByRole('button', { name: this.name, exact: true }).click();
    await expect(this.page.getByText(this.name, { exact: true })).toBeVisible();
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
