import { Writable } from 'node:stream';
import { Figures } from '../../figures/figures.js';
import { figuresPort } from '../../figures/figures-port.js';
import { reading, respond, School, TestRoom } from '../../testing/school.js';

let school: School;
const begin = async (options: Parameters<School['start']>[0] = {}) => (school = await new School().start(options));
afterEach(() => school.remove());

test('whoever watches the machine hears that the school is alive and ready, and no more than that', async () => {
  await begin();
  const reply = await school.browser().send('GET', '/health');
  expect([reply.statusCode, reply.json()]).toEqual([200, { alive: true, ready: true, lastBackupAtMs: null }]);
  school.store.sqlite.close();
  const broken = await school.browser().send('GET', '/health');
  expect([broken.statusCode, broken.json().ready]).toEqual([503, false]);
});

test('figures tell routes, answers and rooms, and nobody; they are served on a port of their own', async () => {
  const figures = new Figures();
  await begin({ figures });
  const room = await TestRoom.open(school, await school.teacher());
  const anouk = await room.join('Anouk');
  await room.goTo('think', 'q1');
  await respond(anouk, reading('7', '30'));
  const server = await figuresPort(figures, 0);
  const { port } = server.address() as { port: number };
  const text = await (await fetch(`http://127.0.0.1:${port}/metrics`)).text();
  expect((await fetch(`http://127.0.0.1:${port}/`)).status).toBe(404);
  server.close();
  expect(text).toMatch(/^zeitpunkt_answers_kept_total 1$/m);
  expect(text).toMatch(/^zeitpunkt_rooms_open 1$/m);
  expect(text).toContain('zeitpunkt_request_seconds_count{route="/api/desk/responses",status="200"} 1');
  expect(text).toMatch(/^zeitpunkt_database_bytes [1-9]/m);
  for (const secret of ['Anouk', room.detail.id, 'odalys']) expect(text).not.toContain(secret);
});

test('a problem is told with a number, under which the log has its code and route, and nothing that was sent', async () => {
  let log = '';
  const stream = new Writable({ write: (chunk, _encoding, done) => ((log += String(chunk)), done()) });
  await begin({ logger: { level: 'info', stream } });
  const teacher = await school.teacher();
  const [{ id }] = (await teacher.send('GET', '/api/classes')).json();
  const pupil = { id: '11111111-1111-4111-8111-111111111111', name: 'Anouk', reference: null };
  const refused = (await teacher.send('POST', `/api/classes/${id}/pupils`, { pupils: [pupil] })).json();
  expect(refused).toMatchObject({ code: 'NAME_TAKEN', number: expect.stringMatching(/^\d{8}$/) });
  const other = (await teacher.send('GET', '/api/nothing')).json();
  expect(other.number).not.toBe(refused.number);
  const lines = log
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as Record<string, unknown>);
  expect(lines.find(({ reqId }) => reqId === refused.number)).toMatchObject({
    code: 'NAME_TAKEN',
    status: 409,
    route: '/api/classes/:id/pupils',
  });
  for (const secret of ['Anouk', 'odalys', 'tern-harbour-lamp', id]) expect(log).not.toContain(secret);
});
