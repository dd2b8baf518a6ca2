import { reading, respond, TestRoom, schoolWithRoom, type SchoolWithRoom } from '../testing/school.js';

let [school, teacher, room] = [] as unknown as SchoolWithRoom;
beforeEach(async () => ([school, teacher, room] = await schoolWithRoom()));
afterEach(() => school.remove());

const codeOf = (reply: { json: () => { code: string } }) => reply.json().code;

test('a response is marked, kept and shown to the teacher; a second one is another attempt', async () => {
  const anouk = await room.join('Anouk');
  await room.goTo('ask', 'q1');
  expect((await respond(anouk, reading('8', '30'))).json()).toMatchObject({ askingId: 'q1', attempt: 1 });
  expect((await respond(anouk, reading('7', '30'))).json()).toMatchObject({ attempt: 2 });
  expect((await room.live()).responses).toMatchObject([
    {
      attempt: 1,
      pupilId: room.pupilId('Anouk'),
      mark: { verdict: 'partly', misconceptions: ['nearest-hour', 'coming-hour', 'half-of-coming-hour'] },
    },
    { attempt: 2, response: { kind: 'read-dial', hour: '7', minute: '30' }, mark: { verdict: 'right' } },
  ]);
});

test('the same response sent again is kept once and acknowledged again, also at once and after closing', async () => {
  const anouk = await room.join('Anouk');
  await room.goTo('ask', 'q1');
  const body = reading('7', '30');
  const [one, two] = await Promise.all([respond(anouk, body), respond(anouk, body)]);
  await room.goTo('answer', 'q1');
  const late = await respond(anouk, body);
  expect(one.json()).toEqual(two.json());
  expect(late.json()).toEqual(one.json());
  expect((await room.live()).responses).toHaveLength(1);
});

test('a question that has not been asked takes nothing', async () => {
  const anouk = await room.join('Anouk');
  await room.tell({ type: 'begin' });
  expect((await respond(anouk, reading('7', '30'))).json()).toMatchObject({ status: 409, code: 'QUESTION_NOT_OPEN' });
  expect((await room.live()).responses).toEqual([]);
});

test.each([
  ['an hour of letters', { response: { kind: 'read-dial', hour: 'x', minute: '30' } }, 'REQUEST_SHAPE', /\/response\/hour/],
  ['no minutes', { response: { kind: 'read-dial', hour: '7', minute: null } }, 'REQUEST_SHAPE', /\/response\/minute/],
  ['another kind', { response: { kind: 'set-dial', hourDeg: 1, minuteDeg: 2 } }, 'RESPONSE_SHAPE', /read-dial/],
  ['an angle of 360', { response: { kind: 'set-dial', hourDeg: 360, minuteDeg: 2 } }, 'REQUEST_SHAPE', /\/response\/hourDeg/],
  ['an unknown question', { askingId: 'q99' }, 'QUESTION_NOT_OPEN', /not been asked/],
])('%s is refused, and the server goes on', async (_what, change, code, sentence) => {
  const anouk = await room.join('Anouk');
  await room.goTo('ask', 'q1');
  expect((await respond(anouk, { ...reading('7', '30'), ...change })).json()).toMatchObject({
    code,
    detail: expect.stringMatching(sentence),
  });
  expect((await respond(anouk, reading('7', '30'))).statusCode).toBe(200);
});

test('hands that move together cannot be sent as they never stand', async () => {
  const anouk = await room.join('Anouk');
  await room.tell({ type: 'begin' });
  await room.tell({ type: 'ask', item: { id: 'geared', kind: 'set-dial', timeSec: 9000, from: 'display', hands: 'geared' } });
  const set = (hourDeg: number) =>
    respond(anouk, { ...reading('7', '30'), askingId: 'geared', response: { kind: 'set-dial', hourDeg, minuteDeg: 180 } });
  expect((await set(60)).json()).toMatchObject({ code: 'RESPONSE_SHAPE', detail: expect.stringContaining('hands do not agree') });
  expect((await set(75)).statusCode).toBe(200);
});

test('a body that is too large or no JSON is refused with a sentence', async () => {
  const anouk = await room.join('Anouk');
  const large = await respond(anouk, { ...reading('7', '30'), note: 'x'.repeat(9000) });
  expect(large.json()).toMatchObject({ code: 'REQUEST_TOO_LARGE', status: 413, detail: expect.stringContaining('8 kB') });
  const garbled = await anouk.send('POST', '/api/desk/responses', '{"id":' as never, { 'content-type': 'application/json' });
  expect(garbled.json()).toMatchObject({ code: 'REQUEST_SHAPE', status: 400 });
});

test('a question is asked again, and one that is in no lesson: answers belong to the asking', async () => {
  const anouk = await room.join('Anouk');
  await room.goTo('ask', 'q1');
  await respond(anouk, reading('8', '30'));
  await room.goTo('answer', 'q1');
  await room.tell({ type: 'ask', item: room.detail.lesson.items[0] });
  expect((await anouk.send('GET', '/api/desk')).json().question).toMatchObject({
    askingId: 'q1.2',
    phase: 'open',
    given: null,
    reveal: null,
  });
  expect((await respond(anouk, reading('7', '30'))).json()).toMatchObject({ late: true }); // of the asking that was revealed
  expect((await respond(anouk, { ...reading('7', '30'), askingId: 'q1.2' })).json()).toMatchObject({ askingId: 'q1.2', attempt: 1 });
  await room.tell({
    type: 'ask',
    item: { id: 'extra', kind: 'choose-all', timeSec: 0, from: 'dial', choices: [{ text: '12:00' }, { text: '1:00' }] },
  });
  const response = { kind: 'choose-all', chosen: [0] };
  expect((await respond(anouk, { ...reading('', ''), askingId: 'extra', response })).statusCode).toBe(200);
  await room.tell({ type: 'reveal', askingId: 'extra' });
  expect((await anouk.send('GET', '/api/desk')).json().question.reveal).toMatchObject({
    stage: { board: ['A  12:00 ✓', 'B  1:00'] },
    own: { verdict: 'right' },
  });
  expect((await room.live()).responses.map(({ askingId, mark }) => `${askingId} ${mark.verdict}`).sort()).toEqual([
    'extra right',
    'q1 partly',
    'q1 right',
    'q1.2 right',
  ]);
});

test('an answer that cannot be read any more is named in the review, and takes no other with it', async () => {
  const [anouk, bashir] = [await room.join('Anouk'), await room.join('Bashir')];
  await room.goTo('ask', 'q1');
  await respond(anouk, reading('8', '30'));
  await respond(bashir, reading('7', '30'));
  await room.tell({ type: 'end' });
  school.store.sqlite
    .prepare("UPDATE response SET mark = json_set(mark, '$.verdict', 'wonderful') WHERE pupil_id = ?")
    .run(room.pupilId('Anouk'));
  const { live, unreadable } = (await teacher.send('GET', `/api/sessions/${room.detail.id}`)).json();
  expect(live.responses).toHaveLength(1);
  expect(unreadable).toEqual([
    'The mark of Anouk to question q1 cannot be read: must be one of right, right-other-form, partly, not-yet, blank at /verdict.',
  ]);
});

test('an id that another pupil used is not taken over', async () => {
  const [anouk, bashir] = [await room.join('Anouk'), await room.join('Bashir')];
  await room.goTo('ask', 'q1');
  const body = reading('7', '30');
  await respond(anouk, body);
  expect(codeOf(await respond(bashir, body))).toBe('RESPONSE_ID_TAKEN');
  // Other content under the same id is another answer, on its way or kept.
  expect(codeOf(await respond(anouk, { ...body, response: { ...body.response, hour: '8' } }))).toBe('RESPONSE_ID_TAKEN');
  expect((await respond(anouk, body)).statusCode).toBe(200);
});

test('an id that another room has used is refused, for a join and for an answer', async () => {
  const anouk = await room.join('Anouk');
  await room.goTo('ask', 'q1');
  const body = reading('7', '30');
  await respond(anouk, body);
  const joinId = (await room.live()).participants[0]!.id;
  const next = await TestRoom.open(school, teacher);
  const joined = await school.browser().send('POST', '/api/desk/join', { joinId, roomKey: next.key, pupilId: next.pupilId('Anouk') });
  expect([joined.statusCode, codeOf(joined)]).toEqual([409, 'JOIN_ID_TAKEN']);
  const bashir = await next.join('Bashir');
  await next.goTo('ask', 'q1');
  expect(codeOf(await respond(bashir, body))).toBe('RESPONSE_ID_TAKEN');
  expect((await respond(bashir, reading('7', '30'))).statusCode).toBe(200);
});
