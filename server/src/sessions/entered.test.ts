import { randomUUID } from 'node:crypto';
import type { SessionDetail } from '@zeitpunkt/contract';
import { anotherTeacher, reading, respond, schoolWithRoom, type SchoolWithRoom } from '../testing/school.js';

let [school, teacher, room] = [] as unknown as SchoolWithRoom;
beforeEach(async () => ([school, teacher, room] = await schoolWithRoom()));
afterEach(() => school.remove());

const enter = (name: string, hour: string, more: object = {}, who = teacher) =>
  who.send('POST', `/api/sessions/${room.detail.id}/entered`, {
    id: randomUUID(),
    pupilId: room.pupilId(name),
    askingId: 'q1',
    source: 'paper',
    response: { kind: 'read-dial', hour, minute: '30' },
    ...more,
  });
const detail = async (): Promise<SessionDetail> => (await teacher.send('GET', `/api/sessions/${room.detail.id}`)).json();
const answers = ({ live }: SessionDetail) => live.responses.map(({ mark, source, late, attempt }) => [mark.verdict, source, late, attempt]);
const codeOf = (reply: { json: () => { code: string } }) => reply.json().code;

test('an answer from paper is marked like any other, while the lesson runs and after it, and never late', async () => {
  await room.goTo('ask', 'q1');
  expect((await enter('Anouk', '7')).json()).toMatchObject({ mark: { verdict: 'right' }, source: 'paper', late: null, attempt: 1 });
  await room.tell({ type: 'end' });
  const typed = (await enter('Bashir', '8', { source: 'spoken' })).json();
  expect(answers(await detail())).toEqual([
    ['right', 'paper', null, 1],
    ['partly', 'spoken', null, 1],
  ]);
  expect((await enter('Bashir', '7', { id: typed.id })).json()).toMatchObject({ code: 'RESPONSE_ID_TAKEN' });
});

test('what was entered can be taken back, what a pupil gave cannot; then what was there before counts again', async () => {
  const anouk = await room.join('Anouk');
  await room.goTo('ask', 'q1');
  const given = reading('8', '30');
  await respond(anouk, given);
  const typed = (await enter('Anouk', '7')).json();
  expect(typed.attempt).toBe(2);
  const back = (id: string) => teacher.send('POST', `/api/sessions/${room.detail.id}/entered/${id}/take-back`);
  expect(codeOf(await back(given.id))).toBe('NOT_FOUND');
  expect((await back(typed.id)).statusCode).toBe(204);
  expect(answers(await detail())).toEqual([['partly', 'device', null, 1]]);
  expect((await anouk.send('GET', '/api/desk')).json().question.given).toMatchObject({ attempt: 1 });
});

test('only for pupils of the class, to what was asked, by the teacher whose lesson it is', async () => {
  expect(codeOf(await enter('Anouk', '7'))).toBe('QUESTION_NOT_OPEN');
  await room.goTo('ask', 'q1');
  expect(codeOf(await enter('Anouk', '7', { pupilId: randomUUID() }))).toBe('PUPIL_UNKNOWN');
  expect(codeOf(await enter('Anouk', '7', { response: { kind: 'set-dial', hourDeg: 0, minuteDeg: 0 } }))).toBe('RESPONSE_SHAPE');
  expect(codeOf(await enter('Anouk', '7', {}, await anotherTeacher(school, teacher)))).toBe('NOT_FOUND');
});

test('what a class answered otherwise is seen by the next answer that is typed after a lesson', async () => {
  await room.goTo('ask', 'q1');
  await room.tell({ type: 'end' });
  expect((await enter('Anouk', '7')).json()).toMatchObject({ attempt: 1 });
  expect((await enter('Anouk', '8')).json()).toMatchObject({ attempt: 2 });
  const sheets = await Promise.all(['7', '8', '9'].map((hour) => enter('Bashir', hour)));
  expect(sheets.map((reply) => reply.json().attempt).sort()).toEqual([1, 2, 3]);
  const pupils = `/api/classes/${room.detail.classId}/pupils`;
  await teacher.send('POST', `${pupils}/${room.pupilId('Bashir')}/merge`, { into: room.pupilId('Anouk') });
  expect((await enter('Anouk', '10')).json()).toMatchObject({ attempt: 6 });
});
