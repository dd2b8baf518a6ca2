import type { Locator, Page } from '@playwright/test';
import { dragOnDial, type DialPlace } from './drag-on-dial.js';
import type { TestServer } from './server.js';

/** The place where demonstration dials are built, used through the screen alone. */
export class DialsPage {
  constructor(
    readonly page: Page,
    private readonly server: TestServer,
  ) {}

  async open(): Promise<void> {
    await this.page.goto(`${this.server.url}/dials`);
    await this.stage.waitFor();
  }

  async openShow(): Promise<Page> {
    const [show] = await Promise.all([this.page.waitForEvent('popup'), this.page.getByRole('button', { name: 'Show to pupils' }).click()]);
    return show;
  }

  async type(text: string): Promise<void> {
    await this.page.getByLabel('Time', { exact: true }).fill(text);
    await this.page.getByRole('button', { name: 'Set', exact: true }).click();
  }

  async choose(group: string, option: string): Promise<void> {
    await this.page.getByRole('combobox', { name: group, exact: true }).click();
    await this.page.getByRole('option', { name: option, exact: true }).click();
  }

  async tool(name: string): Promise<void> {
    await this.page.getByRole('group', { name: 'Pointers' }).getByRole('button', { name, exact: true }).click();
  }

  /** A layer, or what stands beside and below the dial. */
  async toggle(group: string, name: string): Promise<void> {
    await this.page.getByRole('group', { name: group, exact: true }).getByRole('button', { name, exact: true }).click();
  }

  /** Something of the menu of a saved dial. */
  async fromMenu(dial: string, item: string): Promise<void> {
    await this.page.getByRole('button', { name: `More for ${dial}`, exact: true }).click();
    await this.page.getByRole('menuitem', { name: item }).click();
  }

  drag(...places: readonly DialPlace[]): Promise<void> {
    return dragOnDial(this.stage, places);
  }

  get stage(): Locator {
    return this.page.locator('zp-pointing-stage svg');
  }

  get reading(): Locator {
    return this.page.locator('zp-reading');
  }

  get problem(): Locator {
    return this.page.locator('#entry-problem');
  }
}
