import { schoolWithRoom, type School } from '../testing/school.js';

let school: School;
beforeAll(async () => ([school] = await schoolWithRoom()));
afterAll(() => school.remove());

const ID = '00000000-0000-4000-8000-000000000000';
const FILE = { 'content-type': 'application/octet-stream' };

test.each([
  '/api/lessons/files',
  '/api/clips',
  `/api/lessons/${ID}/draft`,
  `/api/lessons/${ID}/takes/${ID}`,
  `/api/classes/${ID}/pupils`,
  `/api/classes/${ID}/cards`,
  '/api/own-pace',
])('nothing large is read of a stranger at %s', async (url) => {
  const reply = await school.browser().send('POST', url, { text: 'x'.repeat(6 * 2 ** 20) });
  expect(reply.json()).toMatchObject({ status: 401, code: 'SIGN_IN_NEEDED' });
});

test.each([
  '/api/roster-files',
  '/api/calendars/look',
  '/api/archives/look',
  `/api/classes/${ID}/results/look`,
  `/api/lessons/${ID}/questions/look`,
])('no file is read of a stranger at %s', async (url) => {
  const reply = await school.browser().send('POST', url, Buffer.alloc(50 * 2 ** 20), FILE);
  expect(reply.json()).toMatchObject({ status: 401, code: 'SIGN_IN_NEEDED' });
});

test.each(['x', 'x'.repeat(101), 'x'.repeat(5000), '%00', '..%2f..', '‮', '%F0%9F%90%A7'])('an odd id is none: %s', async (id) => {
  const browser = school.browser();
  for (const [method, url] of [
    ['POST', `/api/lessons/${id}/draft`],
    ['POST', `/api/classes/${id}/change`],
    ['POST', `/api/sessions/${id}/commands`],
    ['GET', `/api/sessions/${id}`],
    ['GET', `/api/own-pace/${id}`],
  ] as const) {
    const { statusCode } = await browser.send(method, url, method === 'POST' ? {} : undefined);
    expect(statusCode).toBeLessThan(500);
  }
});
