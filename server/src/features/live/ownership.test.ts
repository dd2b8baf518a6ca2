import { randomUUID } from 'node:crypto';
import { anotherTeacher, schoolWithRoom, type SchoolWithRoom } from '../../testing/school.js';

let [school, teacher, room] = [] as unknown as SchoolWithRoom;
beforeEach(async () => ([school, teacher, room] = await schoolWithRoom()));
afterEach(() => school.remove());

const codeOf = (reply: { json: () => { code: string } }) => reply.json().code;

test('every teacher route is closed to strangers and to other teachers', async () => {
  const other = await anotherTeacher(school, teacher);
  const lessons = (await teacher.send('GET', '/api/lessons')).json();
  const session = `/api/sessions/${room.detail.id}`;
  const routes: ['GET' | 'POST', string, object?][] = [
    ['GET', `/api/lessons/${lessons[0].id}`],
    ['GET', session],
    ['POST', `${session}/commands`, { id: randomUUID(), command: { type: 'begin' } }],
    ['POST', `${session}/participants/${randomUUID()}/send-out`],
    [
      'POST',
      '/api/sessions',
      { id: randomUUID(), lessonId: lessons[0].id, classId: (await teacher.send('GET', '/api/classes')).json()[0].id },
    ],
    ['GET', `/ws/sessions/${room.detail.id}?window=console`],
  ];
  for (const [method, url, body] of routes) {
    expect({ url, code: codeOf(await other.send(method, url, body)) }).toEqual({ url, code: 'NOT_FOUND' });
    expect({ url, code: codeOf(await school.browser().send(method, url, body)) }).toEqual({ url, code: 'SIGN_IN_NEEDED' });
  }
  for (const list of ['/api/lessons', '/api/classes', '/api/sessions']) {
    const ids = (all: { readonly id: string }[]) => all.map(({ id }) => id);
    const own = ids((await teacher.send('GET', list)).json());
    expect(ids((await other.send('GET', list)).json()).filter((id) => own.includes(id))).toEqual([]);
  }
});
