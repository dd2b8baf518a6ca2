import { expect, type Locator, type Page } from '@playwright/test';
import type { TestServer } from './server.js';
import { teacherCookie } from './template.js';

/** A teacher at the console, acting through the screen alone. */
export class TeacherPage {
  constructor(
    readonly page: Page,
    private readonly server: Pick<TestServer, 'url'>,
  ) {}

  /** Is signed in already, and goes to the lessons. */
  async signIn(): Promise<void> {
    await this.isSignedIn();
    await this.page.goto(`${this.server.url}/lessons`);
  }

  /** The same, and goes nowhere yet. */
  async isSignedIn(): Promise<void> {
    await this.page.context().addCookies([{ ...teacherCookie(), url: this.server.url }]);
  }

  /** Goes to a place by the rail. */
  async to(place: 'Today' | 'Ladder' | 'Lessons' | 'Review' | 'Class' | 'Paper' | 'Dials' | 'School'): Promise<void> {
    await this.page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: place, exact: true }).click();
  }

  /** Does something that stands in the menu of a lesson. */
  async fromMenu(title: string, item: string): Promise<void> {
    await this.page
      .getByRole('button', { name: `More for ${title}` })
      .first()
      .click();
    await this.page.getByRole('menuitem', { name: item }).click();
  }

  async signInByForm(password = 'tern-harbour-lamp'): Promise<void> {
    await this.page.goto(`${this.server.url}/`);
    await this.page.getByLabel('Sign-in name').fill('odalys');
    await this.page.getByLabel('Password').fill(password);
    await this.page.getByRole('button', { name: 'Sign in' }).click();
  }

  /** Opens a room for a lesson and returns its key. Most journeys are not about the door: nobody waits there. */
  async openRoom(title = 'Half past at the harbour', door: 'open' | 'asks' = 'open'): Promise<string[]> {
    await this.page.getByRole('button', { name: `Open the room for ${title}` }).click();
    const key = this.page.getByRole('list', { name: 'Room key' }).first();
    await expect(key).toBeVisible();
    if (door === 'open' && (await this.page.getByRole('radio', { name: 'I let each one in' }).isChecked())) {
      const told = this.page.waitForResponse((reply) => reply.url().endsWith('/commands'));
      await this.page.getByRole('radio', { name: 'My class list comes straight in' }).check();
      await told;
    }
    return (await key.getByRole('listitem').allInnerTexts()).map((text) => text.trim());
  }

  async openAudience(): Promise<Page> {
    const [audience] = await Promise.all([
      this.page.waitForEvent('popup'),
      this.page.getByRole('button', { name: 'Audience window' }).click(),
    ]);
    return audience;
  }

  /** Takes a lesson file in among the lessons, with its title. */
  async takeIn(content: string, title: string): Promise<void> {
    await this.page
      .getByLabel('Open a lesson file')
      .setInputFiles({ name: 'in.lesson.json', mimeType: 'application/json', buffer: Buffer.from(content) });
    await this.page.getByRole('link', { name: `Edit ${title}` }).waitFor();
  }

  async begin(): Promise<void> {
    await this.page.getByRole('button', { name: 'Begin the lesson' }).click();
    await expect(this.place).toContainText('Step 1 of');
  }

  /** Goes on by key until the script stands at a kind of beat; already there, it goes to the next such beat. */
  async goTo(kind: 'Ask' | 'Think' | 'Answer' | 'Sweep' | 'Mark' | 'Set' | 'Worked example'): Promise<void> {
    do await this.next();
    while (!(await this.place.innerText()).startsWith(kind));
  }

  async next(): Promise<void> {
    const before = await this.place.innerText();
    await this.page.keyboard.press('PageDown');
    await expect(this.place).not.toHaveText(before, { useInnerText: true });
  }

  /** Tells the room something that no button of the console says, through the same route. */
  async tell(command: object): Promise<void> {
    const sessionId = this.page.url().split('/').at(-1);
    const told = await this.page.request.post(`${this.server.url}/api/sessions/${sessionId}/commands`, {
      data: { id: crypto.randomUUID(), command },
    });
    expect(told.status()).toBe(200);
  }

  async end(): Promise<void> {
    await this.more('End lesson');
    await this.page.getByRole('button', { name: 'End it' }).click();
    await this.page.waitForURL(/\/review\//);
  }

  /** Something of the menu of a lesson that runs. */
  async more(item: string | RegExp): Promise<void> {
    await this.page.getByRole('button', { name: 'More for this lesson' }).click();
    await this.page.getByRole('menuitem', { name: item }).click();
  }

  get place(): Locator {
    return this.page.locator('.place');
  }

  get wall(): Locator {
    return this.page.getByRole('region', { name: 'Live wall' });
  }
}
