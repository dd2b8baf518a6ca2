import { test as base } from './classroom.js';
import { DialsPage } from './dials.js';

/** A journey that begins in the dials place, of a teacher who is signed in. */
export const test = base.extend<{ dials: DialsPage }>({
  dials: async ({ teacher, server }, use) => {
    await teacher.isSignedIn();
    const dials = new DialsPage(teacher.page, server);
    await dials.open();
    await use(dials);
  },
});

export { expect } from './classroom.js';
