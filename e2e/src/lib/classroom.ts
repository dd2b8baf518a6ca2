import { test as base, type BrowserContextOptions } from '@playwright/test';
import { PupilPage } from './pupil.js';
import { TestServer } from './server.js';
import { TeacherPage } from './teacher.js';
import { TEMPLATE_DATABASE } from './template.js';

interface Classroom {
  readonly server: TestServer;
  readonly teacher: TeacherPage;
  /** A pupil on a device of their own. */
  readonly newPupil: (name: string, device?: BrowserContextOptions) => Promise<PupilPage>;
}

/** A running server with demo data, a teacher in one browser context and pupils in others. */
export const test = base.extend<Classroom>({
  server: async ({}, use) => {
    const server = new TestServer({ demo: true, database: TEMPLATE_DATABASE });
    await server.start();
    await use(server);
    await server.stop();
  },
  teacher: async ({ page, server }, use) => use(new TeacherPage(page, server)),
  newPupil: async ({ browser, server }, use) => {
    const contexts: { close: () => Promise<void> }[] = [];
    await use(async (name, device) => {
      const context = await browser.newContext(device);
      contexts.push(context);
      return new PupilPage(await context.newPage(), name, server);
    });
    for (const context of contexts) await context.close();
  },
});

export { expect } from '@playwright/test';

/** A small phone held upright. */
export const PHONE: BrowserContextOptions = { viewport: { width: 360, height: 740 }, hasTouch: true, isMobile: true };
