import { expect, type Locator, type Page } from '@playwright/test';

/** The place where a lesson is built, acted on through the screen alone. */
export class ScriptPage {
  constructor(readonly page: Page) {}

  /** Opens the script of a lesson from the lessons. */
  async open(title: string): Promise<void> {
    await this.page.getByRole('link', { name: `Edit ${title}` }).click();
    await expect(this.page.getByRole('heading', { level: 1, name: title })).toBeVisible();
  }

  /** Does what the menu of the lesson offers. */
  async more(item: string): Promise<void> {
    await this.page.getByRole('button', { name: 'More for this lesson' }).click();
    await this.page.getByRole('menuitem', { name: item }).click();
  }

  /** Opens what is said about the lesson as a whole. */
  async about(): Promise<void> {
    await this.more('Title, goal and school');
    await expect(this.field('Title')).toBeVisible();
  }

  async closeAbout(): Promise<void> {
    await this.page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
    await expect(this.page.getByRole('dialog')).toHaveCount(0);
  }

  /** Beats of the script, or those of which something is said. */
  beats(said = /./): Locator {
    return this.page.locator('[data-beat]').filter({ hasText: said });
  }

  /** Adds something after the beat at hand, by its press or by a menu, about a time. */
  async insert(press: 'Example' | 'Question' | 'Show' | 'Say', { time, kind }: { time?: string; kind?: string } = {}): Promise<void> {
    const before = await this.beats().count();
    await this.page.getByRole('group', { name: 'Add after this' }).getByRole('button', { name: press, exact: true }).click();
    if (kind) await this.page.getByRole('menuitem', { name: kind, exact: true }).click();
    await expect(this.beats()).not.toHaveCount(before);
    if (time === undefined) return;
    const field = this.page.locator(kind ? '#item-time' : '#field-timeSec');
    await field.fill(time);
    await field.blur();
  }

  /** Writes into a field and leaves it. */
  async write(name: string, text: string): Promise<void> {
    await this.field(name).fill(text);
    await this.field(name).blur();
  }

  /** Chooses a beat by what its row says. What was changed just before may move the rows under the pointer: then it is pressed again. */
  async choose(row: RegExp): Promise<void> {
    const beat = this.beats(row).first();
    await expect(async () => {
      await beat.click();
      await expect(beat).toHaveAttribute('aria-pressed', 'true', { timeout: 2000 });
    }).toPass();
  }

  /** A field of the script place; the lessons have some of the same names. */
  field(name: string): Locator {
    return this.page.getByLabel(name, { exact: true });
  }

  /** Waits until everything is with the server. */
  async saved(): Promise<void> {
    await expect(this.page.getByText('Saved', { exact: true })).toBeVisible();
  }
}
