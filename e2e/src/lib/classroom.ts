import { test as base, type BrowserContext, type BrowserContextOptions } from '@playwright/test';
import { PupilPage } from './pupil.js';
import { TestServer } from './server.js';
import { ServerHost } from './server-host.js';
import { TeacherPage } from './teacher.js';
import { TEMPLATE_DATABASE } from './template.js';
import { tellPages } from './told-pages.js';

interface Classroom {
  readonly server: TestServer;
  readonly teacher: TeacherPage;
  /** A pupil on a device of their own. */
  readonly newPupil: (name: string, device?: BrowserContextOptions) => Promise<PupilPage>;
}

interface Worker {
  /** Whether each journey of a file has a server process of its own, because it kills it or looks at how it ends. */
  readonly ownProcess: boolean;
  readonly host: ServerHost | null;
}

/** A running server with demo data, a teacher in one browser context and pupils in others. */
export const test = base.extend<Classroom, Worker>({
  ownProcess: [false, { option: true, scope: 'worker' }],
  host: [
    async ({ ownProcess }, use) => {
      const host = ownProcess ? null : new ServerHost();
      await use(host);
      await host?.close();
    },
    { scope: 'worker' },
  ],
  server: async ({ host }, use) => {
    const server = new TestServer({ demo: true, database: TEMPLATE_DATABASE, host });
    await server.start();
    await use(server);
    await server.stop();
  },
  teacher: async ({ page, server }, use, info) => {
    await use(new TeacherPage(page, server));
    await tellPages(info, page.context());
  },
  newPupil: async ({ browser, server }, use, info) => {
    const contexts: BrowserContext[] = [];
    await use(async (name, device) => {
      // What a desk keeps on its device is tested where a journey lets it: elsewhere it would come before what a test puts in the way.
      const context = await browser.newContext({ serviceWorkers: 'block', ...device });
      contexts.push(context);
      return new PupilPage(await context.newPage(), name, server);
    });
    for (const context of contexts) {
      await tellPages(info, context);
      await context.close();
    }
  },
});

export { expect } from '@playwright/test';

/** A small phone held upright. */
export const PHONE: BrowserContextOptions = { viewport: { width: 360, height: 740 }, hasTouch: true, isMobile: true };
