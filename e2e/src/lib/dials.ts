import type { Locator, Page } from '@playwright/test';
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
    await this.page.getByRole('group', { name: group, exact: true }).getByRole('button', { name: option, exact: true }).click();
  }

  async tool(name: string): Promise<void> {
    await this.page.getByRole('group', { name: 'Pointers' }).getByRole('button', { name, exact: true }).click();
  }

  /** Presses at a place of the dial, drags through others and lets go; places in degrees clockwise from 12 and parts of the face's radius. */
  async drag(...places: readonly (readonly [deg: number, reach: number])[]): Promise<void> {
    const face = (await this.stage.locator('[data-role="dial"] circle').first().boundingBox())!;
    const [cx, cy, r] = [face.x + face.width / 2, face.y + face.height / 2, face.width / 2];
    const to = ([deg, reach]: readonly [number, number], steps: number) => {
      const rad = (deg * Math.PI) / 180;
      return this.page.mouse.move(cx + r * reach * Math.sin(rad), cy - r * reach * Math.cos(rad), { steps });
    };
    await to(places[0]!, 1);
    await this.page.mouse.down();
    for (const place of places.slice(1)) await to(place, 6);
    await this.page.mouse.up();
  }

  get stage(): Locator {
    return this.page.locator('zp-pointing-stage svg');
  }

  get reading(): Locator {
    return this.page.locator('.reading');
  }

  get problem(): Locator {
    return this.page.locator('#entry-problem');
  }
}
