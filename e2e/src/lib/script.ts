import { expect, type Locator, type Page } from '@playwright/test';

/** The place where a lesson is built, acted on through the screen alone. */
export class ScriptPage {
  constructor(readonly page: Page) {}

  /** Opens the script of a lesson from the lessons. */
  async open(title: string): Promise<void> {
    await this.page.getByRole('link', { name: `Edit ${title}` }).click();
    await expect(this.page.getByRole('heading', { level: 1, name: title })).toBeVisible();
  }

  /** Unfolds what is said about the lesson as a whole. */
  async about(): Promise<void> {
    await this.page.getByText('Title, goal, minutes and school').click();
    await expect(this.field('Title')).toBeVisible();
  }

  /** Writes into a field and leaves it. */
  async write(name: string, text: string): Promise<void> {
    await this.field(name).fill(text);
    await this.field(name).blur();
  }

  /** Chooses a beat by what its row says. What was changed just before may move the rows under the pointer: then it is pressed again. */
  async choose(row: RegExp): Promise<void> {
    const option = this.page.getByRole('listbox', { name: 'Beats' }).getByRole('option', { name: row }).first();
    await expect(async () => {
      await option.click();
      await expect(option).toHaveAttribute('aria-selected', 'true', { timeout: 2000 });
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
