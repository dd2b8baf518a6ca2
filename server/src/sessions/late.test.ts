import { reading, respond, TestRoom, schoolWithRoom, type SchoolWithRoom } from '../testing/school.js';

let [school, teacher, room] = [] as unknown as SchoolWithRoom;
beforeEach(async () => ([school, teacher, room] = await schoolWithRoom()));
afterEach(() => school.remove());

const review = async () => (await teacher.send('GET', `/api/sessions/${room.detail.id}`)).json();
const count = (responseId: string, counted: boolean, who = teacher) =>
  who.send('POST', `/api/sessions/${room.detail.id}/responses/${responseId}/count`, { counted });

test('an answer that comes after the close is kept as late, with the device’s time and the server’s, and the teacher counts it', async () => {
  const anouk = await room.join('Anouk');
  await room.goTo('ask', 'q1');
  await respond(anouk, reading('8', '30'));
  school.clockMs += 5000;
  const closedAtMs = school.clockMs;
  await room.tell({ type: 'close', askingId: 'q1' });
  school.clockMs += 40_000;
  const body = { ...reading('7', '30'), waitedMs: 42_000 };
  expect((await respond(anouk, body)).json()).toMatchObject({ attempt: 2, late: true, receivedAtMs: school.clockMs });
  // The same once more, waiting longer meanwhile, is the same.
  expect((await respond(anouk, { ...body, waitedMs: 50_000 })).json()).toMatchObject({ attempt: 2, late: true });
  const late = { givenAtMs: closedAtMs - 2000, closedAtMs, counted: false };
  expect((await room.live()).responses).toMatchObject([
    { attempt: 1, late: null },
    { attempt: 2, late },
  ]);
  expect((await anouk.send('GET', '/api/desk')).json().question.given).toMatchObject({ attempt: 2, late: true });

  expect((await count(body.id, true)).statusCode).toBe(204);
  expect((await count(body.id, true)).statusCode).toBe(204);
  expect((await room.live()).responses).toMatchObject([{ attempt: 1 }, { attempt: 2, late: { ...late, counted: true } }]);
  await count(body.id, false);
  await school.stop();
  await school.start();
  expect((await room.live()).responses[1]).toMatchObject({ late });
});

test('an answer that comes when the lesson has ended is kept as well, and counted in the review', async () => {
  const [anouk, bashir] = [await room.join('Anouk'), await room.join('Bashir')];
  await room.goTo('ask', 'q1');
  await room.tell({ type: 'end' });
  school.clockMs += 60_000;
  const body = { ...reading('7', '30'), waitedMs: 61_000 };
  expect((await respond(anouk, body)).json()).toMatchObject({ attempt: 1, late: true });
  expect((await respond(anouk, body)).json()).toMatchObject({ attempt: 1, late: true });
  expect((await respond(bashir, body)).json().code).toBe('RESPONSE_ID_TAKEN');
  expect((await respond(bashir, { ...reading('7', '30'), askingId: 'q9' })).json().code).toBe('QUESTION_NOT_OPEN');
  await count(body.id, true);
  expect((await review()).live.responses).toMatchObject([{ mark: { verdict: 'right' }, late: { counted: true } }]);
});

test('only a late answer of one’s own lesson can be counted', async () => {
  const anouk = await room.join('Anouk');
  await room.goTo('ask', 'q1');
  const body = reading('7', '30');
  await respond(anouk, body);
  expect((await count(body.id, true)).json().code).toBe('NOT_FOUND'); // it came in time
  expect((await count(body.id, true, school.browser())).json().code).toBe('SIGN_IN_NEEDED');
  const other = await TestRoom.open(school, teacher);
  const reply = await teacher.send('POST', `/api/sessions/${other.detail.id}/responses/${body.id}/count`, { counted: true });
  expect(reply.json().code).toBe('NOT_FOUND');
});

test('a question that opens again takes answers in time; an answer of a page of before, which tells no waiting, is taken too', async () => {
  const anouk = await room.join('Anouk');
  await room.goTo('ask', 'q1');
  await room.tell({ type: 'close', askingId: 'q1' });
  expect((await respond(anouk, reading('8', '30'))).json()).toMatchObject({ late: true });
  await room.tell({ type: 'go', to: room.detail.lesson.beats.map(({ id }) => ({ beatId: id, step: 'beat' }))[0] });
  await room.goTo('ask', 'q1');
  expect((await respond(anouk, reading('7', '30'))).json()).toMatchObject({ attempt: 2, late: false });
});
