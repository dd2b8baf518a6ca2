import { ClassStanding, LessonList, SessionDetail } from '@zeitpunkt/contract';
import Fastify from 'fastify';
import { reading, respond, schoolWithRoom } from '../testing/school.js';

test('what is written out beside the loop is what its schema would write: nothing more, nothing less', async () => {
  const [school, teacher, room] = await schoolWithRoom();
  await room.goTo('ask', 'q1');
  await respond(await room.join('Anouk'), reading('7', '30'));
  await room.tell({ type: 'end' });
  for (const [name, schema, url] of [
    ['session', SessionDetail, `/api/sessions/${room.detail.id}`],
    ['lessons', LessonList, '/api/lessons'],
    ['standing', ClassStanding, `/api/classes/${room.detail.classId}/standing`],
  ] as const) {
    const { statusCode, headers, body } = await teacher.send('GET', url);
    expect([statusCode, headers['content-type']]).toEqual([200, 'application/json; charset=utf-8']);
    const bare = Fastify();
    bare.post(`/${name}`, { schema: { response: { 200: schema } } }, ({ body: sent }) => sent);
    const bySchema = await bare.inject({ method: 'POST', url: `/${name}`, payload: JSON.parse(body) as object });
    expect(JSON.parse(body)).toEqual(bySchema.json());
    expect(body.length).toBeGreaterThan(50);
  }
  await school.remove();
});
