import { once } from 'node:events';
import { connect, type AddressInfo } from 'node:net';
import Database from 'better-sqlite3';
import { join } from 'node:path';
import { reading, respond, School, TestRoom, type Browser } from '../testing/school.js';

let school: School;
beforeEach(async () => {
  school = await new School().start();
});
afterEach(() => school.remove());

/** A room in which the first question is asked, with a pupil. */
async function askedIn(teacher: Browser) {
  const room = await TestRoom.open(school, teacher);
  const anouk = await room.join('Anouk');
  await room.goTo('ask', 'q1');
  return { room, anouk };
}

/** Another program holds the database, until it lets go. */
function holdDatabase(): () => void {
  const other = new Database(join(school.dataDir, 'zeitpunkt.sqlite'));
  other.exec('BEGIN IMMEDIATE');
  return () => {
    other.exec('COMMIT');
    other.close();
  };
}

test.each([
  ['a malformed address', '/api/lessons/%zz', {}, 400],
  ['an unknown content encoding', '/api/sign-in', { 'content-encoding': 'rot13' }, 415],
  ['a broken content encoding', '/api/sign-in', { 'content-encoding': 'gzip' }, 400],
])('%s is answered with a problem', async (_what, url, headers, status) => {
  const reply = await school.browser().send('POST', url, '{}' as never, { 'content-type': 'application/json', ...headers });
  expect([reply.statusCode, reply.headers['content-type']]).toEqual([status, expect.stringContaining('application/problem+json')]);
  expect(reply.json().detail).toMatch(/^The .*\.$/);
});

test('while another program holds the database an answer waits without keeping anybody else waiting, and is kept', async () => {
  const teacher = await school.teacher();
  const { room, anouk } = await askedIn(teacher);
  const letGo = holdDatabase();
  const answered = respond(anouk, reading('7', '30'));
  const renamed = teacher.send('POST', `/api/sessions/${room.detail.id}/let-in`, {
    participantIds: [(await room.live()).participants[0]!.id],
  });
  // Reading goes on meanwhile.
  expect((await anouk.send('GET', '/api/desk')).json()).toMatchObject({ question: { given: null } });
  letGo();
  expect([(await answered).statusCode, (await renamed).statusCode]).toEqual([200, 204]);
  expect((await room.live()).responses).toHaveLength(1);
});

test('a program that does not let go of the database is answered with "wait", and nothing is half done', async () => {
  const teacher = await school.teacher();
  const { anouk } = await askedIn(teacher);
  const letGo = holdDatabase();
  const body = reading('7', '30');
  const [answer, lesson] = await Promise.all([respond(anouk, body), teacher.send('POST', '/api/sign-out')]);
  for (const reply of [answer, lesson]) {
    expect(reply.json()).toMatchObject({ code: 'STORE_BUSY', status: 503, detail: expect.stringContaining('Nothing was lost') });
    expect(reply.headers['retry-after']).toBe('1');
  }
  letGo();
  expect((await respond(anouk, body)).json()).toMatchObject({ attempt: 1, late: false });
});

test('a disk that takes nothing more is said, and what was not kept is not acknowledged', async () => {
  const { anouk } = await askedIn(await school.teacher());
  const { sqlite } = school.store;
  sqlite.pragma(`max_page_count = ${sqlite.pragma('page_count', { simple: true })}`);
  const replies = [];
  for (let attempt = 0; attempt < 200 && replies.at(-1)?.statusCode !== 507; attempt++)
    replies.push(await respond(anouk, reading('7', '30')));
  expect(replies.at(-1)!.json()).toMatchObject({ code: 'STORE_FULL', detail: expect.stringContaining('disk') });
  sqlite.pragma('max_page_count = 1000000');
  expect((await respond(anouk, reading('7', '30'))).json()).toMatchObject({ attempt: replies.length });
});

/** Sends raw bytes and reads what comes until the line is closed. */
async function raw(text: string): Promise<string> {
  await school.app.listen({ port: 0, host: '127.0.0.1' });
  const socket = connect((school.app.server.address() as AddressInfo).port, '127.0.0.1');
  let said = '';
  socket.on('data', (data) => (said += String(data)));
  socket.write(text);
  await once(socket, 'close');
  return said;
}

test('what is no HTTP is answered with a problem, and the line is closed', async () => {
  expect(await raw('HELLO\r\n\r\n')).toMatch(/^HTTP\/1.1 400 [^]*"code":"REQUEST_SHAPE"/);
});

test('a body that trickles in is cut off with a problem', async () => {
  school.app.server.requestTimeout = school.app.server.headersTimeout = 50;
  const head = 'POST /api/sign-in HTTP/1.1\r\nhost: school.test\r\ncontent-type: application/json\r\ncontent-length: 50\r\n\r\n{"signIn';
  expect(await raw(head)).toMatch(/^HTTP\/1.1 408 [^]*"code":"REQUEST_SLOW"/);
});
