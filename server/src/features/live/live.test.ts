import { randomUUID } from 'node:crypto';
import { reading, respond, School, TestRoom, type Browser } from '../../testing/school.js';

let school: School;
let teacher: Browser;
let room: TestRoom;
beforeEach(async () => {
  school = await new School().start();
  teacher = await school.teacher();
  room = await TestRoom.open(school, teacher);
});
afterEach(() => school.remove());

const codeOf = (reply: { json: () => { code: string } }) => reply.json().code;

describe('coming in', () => {
  const join = (body: object) => school.browser().send('POST', '/api/desk/join', { joinId: randomUUID(), roomKey: room.key, ...body });

  test('a wrong key, a taken name and a stranger each get their sentence', async () => {
    const wrongKey = [...room.key].reverse();
    expect(await school.browser().send('POST', '/api/desk/room', { roomKey: wrongKey })).toMatchObject({ statusCode: 404 });
    await room.join('Anouk');
    const taken = await join({ pupilId: room.pupilId('Anouk') });
    expect(taken.json()).toMatchObject({
      code: 'NAME_TAKEN',
      status: 409,
      detail: expect.stringContaining('Anouk is in the room already'),
    });
    expect(codeOf(await join({ pupilId: randomUUID() }))).toBe('PUPIL_UNKNOWN');
    expect((await school.browser().send('POST', '/api/desk/room', { roomKey: room.key })).json()).toEqual({
      className: 'Terns',
      pupils: room.detail.pupils.filter((pupil) => pupil.name !== 'Anouk'),
    });
  });

  test('the same join sent again is one join, and the device goes on with its new cookie', async () => {
    const body = { joinId: randomUUID(), pupilId: room.pupilId('Bashir') };
    await join(body);
    const again = await join(body);
    expect(again.statusCode).toBe(200);
    expect((await room.live()).participants).toHaveLength(1);
  });

  test('a freed name can be chosen again, and the old device is out', async () => {
    const old = await room.join('Ceri');
    const [participant] = (await room.live()).participants;
    await teacher.send('POST', `/api/sessions/${room.detail.id}/participants/${participant!.id}/release`);
    expect(codeOf(await old.send('GET', '/api/desk'))).toBe('DESK_NOT_JOINED');
    expect((await (await room.join('Ceri')).send('GET', '/api/desk')).json().pupilName).toBe('Ceri');
  });

  test('guessing keys is slowed down', async () => {
    await school.stop();
    await school.start({ limits: { joinPerMinute: 3 } });
    const codes = [];
    for (let guess = 0; guess < 5; guess++)
      codes.push((await school.browser().send('POST', '/api/desk/room', { roomKey: room.key })).statusCode);
    expect(codes).toEqual([200, 200, 200, 429, 429]);
  });

  test('an ended room lets nobody in and its key is free for others', async () => {
    await room.tell({ type: 'end' });
    expect(codeOf(await join({ pupilId: room.pupilId('Anouk') }))).toBe('ROOM_KEY_UNKNOWN');
  });

  test('an ended lesson can be reviewed, without a key, now and after a restart, and holds no memory', async () => {
    const anouk = await room.join('Anouk');
    await room.goTo('think', 'q1');
    const body = reading('8', '30');
    const kept = (await respond(anouk, body)).json();
    await room.tell({ type: 'end' });
    const review = async () => (await teacher.send('GET', `/api/sessions/${room.detail.id}`)).json();
    const now = await review();
    const desk = async () => (await anouk.send('GET', '/api/desk')).json();
    expect(await desk()).toMatchObject({ phase: 'ended', pupilName: 'Anouk', className: 'Terns', lessonTitle: 'Half past at the harbour' });
    expect(now).toMatchObject({ roomKey: null, live: { responses: [{ attempt: 1 }] }, unreadable: [] });
    await school.stop();
    await school.start();
    expect({ ...(await review()), live: {} }).toEqual({ ...now, live: {} });
    expect((await review()).live.responses).toEqual(now.live.responses);
    expect(await desk()).toMatchObject({ phase: 'ended' });
    // What was kept before the end is acknowledged again after it; nothing new is taken.
    expect((await respond(anouk, body)).json()).toEqual(kept);
    expect(codeOf(await respond(anouk, reading('7', '30')))).toBe('QUESTION_NOT_OPEN');
    // A command whose answer was lost, and ending once more, answer as the room is.
    expect((await room.tell({ type: 'end' })).json()).toMatchObject({ room: { phase: 'ended' } });
    expect(codeOf(await room.tell({ type: 'begin' }))).toBe('ROOM_NOT_RUNNING');
  });
});

describe('responses', () => {
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

  test('a question that is not open takes nothing', async () => {
    const anouk = await room.join('Anouk');
    await room.tell({ type: 'begin' });
    expect(await respond(anouk, reading('7', '30'))).toMatchObject({ statusCode: 409 });
    await room.goTo('ask', 'q1');
    await room.tell({ type: 'close', askingId: 'q1' });
    expect((await respond(anouk, reading('7', '30'))).json()).toMatchObject({
      code: 'QUESTION_NOT_OPEN',
      detail: expect.stringContaining('not open any more'),
    });
    expect((await room.live()).responses).toEqual([]);
  });

  test.each([
    ['an hour of letters', { response: { kind: 'read-dial', hour: 'x', minute: '30' } }, 'REQUEST_SHAPE', /\/response\/hour/],
    ['no minutes', { response: { kind: 'read-dial', hour: '7', minute: null } }, 'REQUEST_SHAPE', /\/response\/minute/],
    ['another kind', { response: { kind: 'set-dial', hourDeg: 1, minuteDeg: 2 } }, 'RESPONSE_SHAPE', /read-dial/],
    ['an angle of 360', { response: { kind: 'set-dial', hourDeg: 360, minuteDeg: 2 } }, 'REQUEST_SHAPE', /\/response\/hourDeg/],
    ['an unknown question', { askingId: 'q99' }, 'QUESTION_NOT_OPEN', /not open/],
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
    expect(codeOf(await respond(anouk, reading('7', '30')))).toBe('QUESTION_NOT_OPEN'); // of the asking that was revealed
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
    expect((await room.live()).responses.map(({ askingId, mark }) => [askingId, mark.verdict])).toEqual([
      ['q1', 'partly'],
      ['q1.2', 'right'],
      ['extra', 'right'],
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

test('a command that changed nothing is remembered: sent again late, it does not move the room back', async () => {
  await room.goTo('ask', 'q1');
  const at = (await room.live()).room.run.at;
  const body = { id: randomUUID(), command: { type: 'go', to: at } };
  const send = () => teacher.send('POST', `/api/sessions/${room.detail.id}/commands`, body);
  await send();
  await room.goTo('answer', 'q1');
  expect((await send()).statusCode).toBe(200);
  expect((await room.live()).room.run.at).not.toEqual(at);
});

test.each([
  ['a malformed address', '/api/lessons/%zz', {}, 400],
  ['an unknown content encoding', '/api/sign-in', { 'content-encoding': 'rot13' }, 415],
  ['a broken content encoding', '/api/sign-in', { 'content-encoding': 'gzip' }, 400],
])('%s is answered with a problem', async (_what, url, headers, status) => {
  const reply = await school.browser().send('POST', url, '{}' as never, { 'content-type': 'application/json', ...headers });
  expect([reply.statusCode, reply.headers['content-type']]).toEqual([status, expect.stringContaining('application/problem+json')]);
  expect(reply.json().detail).toMatch(/^The .*\.$/);
});

describe('ownership', () => {
  test('every teacher route is closed to strangers and to other teachers', async () => {
    const { hashPassword } = await import('../auth/passwords.js');
    const insert = school.store.sqlite.prepare('INSERT INTO teacher VALUES (?, ?, ?, ?, ?)');
    insert.run(randomUUID(), 'other', 'Mr Quay', await hashPassword('another-long-one'), 0);
    const other = school.browser();
    await other.send('POST', '/api/sign-in', { signInName: 'other', password: 'another-long-one' });
    const lessons = (await teacher.send('GET', '/api/lessons')).json();
    const session = `/api/sessions/${room.detail.id}`;
    const routes: ['GET' | 'POST', string, object?][] = [
      ['GET', `/api/lessons/${lessons[0].id}`],
      ['GET', session],
      ['POST', `${session}/commands`, { id: randomUUID(), command: { type: 'begin' } }],
      ['POST', `${session}/participants/${randomUUID()}/release`],
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
    for (const list of ['/api/lessons', '/api/classes', '/api/sessions']) expect((await other.send('GET', list)).json()).toEqual([]);
  });
});

describe('commands and sessions', () => {
  test('a command sent twice happens once; a start sent twice opens one room', async () => {
    const id = randomUUID();
    await room.tell({ type: 'begin' }, id);
    const { seq } = (await room.tell(room.goToBeat(4))).json();
    expect((await room.tell({ type: 'begin' }, id)).json()).toMatchObject({ seq, room: { run: { at: { beatId: 'b4' } } } });
    const again = await TestRoom.open(school, teacher);
    expect((await teacher.send('GET', '/api/sessions')).json()).toHaveLength(2);
    expect(again.detail.roomKey).toHaveLength(4);
  });

  test('commands sent at once are carried out one after the other; a bad one among them stops nobody', async () => {
    const sent = [{ type: 'begin' }, room.goToBeat(3), room.goToBeat(400), room.goToBeat(6), { type: 'end' }];
    const replies = await Promise.all(sent.map((command) => room.tell(command)));
    expect(replies.map(({ statusCode }) => statusCode)).toEqual([200, 200, 400, 200, 200]);
    expect(replies.filter(({ statusCode }) => statusCode === 200).map((reply) => reply.json().room)).toMatchObject([
      { phase: 'running', run: { at: { beatId: 'b1' } } },
      { run: { at: { beatId: 'b3' } } },
      { run: { at: { beatId: 'b6' } } },
      { phase: 'ended' },
    ]);
  });

  test('a stopped server goes on where it was: step, questions, pupils, answers, and the key on the wall', async () => {
    const anouk = await room.join('Anouk');
    await room.goTo('think', 'q1');
    await respond(anouk, reading('8', '30'));
    const before = await room.live();
    await school.stop();
    await school.start();
    const after = await room.live();
    expect({ ...after, seq: 0, nowMs: 0 }).toEqual({ ...before, seq: 0, nowMs: 0 });
    expect((await anouk.send('GET', '/api/desk')).json()).toMatchObject({ question: { phase: 'open', given: { attempt: 1 } } });
    expect((await respond(anouk, reading('7', '30'))).json()).toMatchObject({ attempt: 2 });
  });
});
