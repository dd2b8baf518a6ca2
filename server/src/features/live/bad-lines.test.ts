import { randomUUID } from 'node:crypto';
import { reading, respond, School, schoolWithRoom, TestRoom, type Browser, type SchoolWithRoom } from '../../testing/school.js';

const DAY_MS = 86_400_000;
let [school, teacher, room] = [] as unknown as SchoolWithRoom;
beforeEach(async () => ([school, teacher, room] = await schoolWithRoom()));
afterEach(() => school.remove());

const setHands = () => ({
  id: randomUUID(),
  askingId: 'q2',
  response: { kind: 'set-dial', hourDeg: 75, minuteDeg: 180 },
  responseTimeMs: 3000,
});
const notSure = () => ({ id: randomUUID(), askingId: 'q3', response: { kind: 'not-sure' }, responseTimeMs: 2000 });
const kept = async () => (await room.live()).responses.map(({ id, askingId, late }) => [id, askingId, late !== null]);

test('a pupil who was offline for a minute sends three answers: out of order, twice each, and all are there once', async () => {
  const anouk = await room.join('Anouk');
  const answers = [reading('7', '30'), setHands(), notSure()];
  for (const item of ['q1', 'q2', 'q3']) {
    await room.goTo('ask', item);
    school.clockMs += 20_000;
  }
  const sent = [...answers].reverse().flatMap((one, place) => [one, one].map((body) => ({ ...body, waitedMs: 20_000 * (place + 1) })));
  const replies = await Promise.all(sent.map((body) => respond(anouk, body)));
  expect(replies.map(({ statusCode }) => statusCode)).toEqual(Array(6).fill(200));
  // Sent once more after a restart, as a device does whose acknowledgement was lost.
  await school.stop();
  await school.start();
  for (const body of sent) expect((await respond(anouk, body)).json()).toMatchObject({ attempt: 1 });
  const [first, second, third] = answers.map(({ id }) => id);
  expect((await kept()).sort()).toEqual(
    [
      [first, 'q1', true],
      [second, 'q2', true],
      [third, 'q3', false],
    ].sort(),
  );
});

test('a device whose clock was set a day on is not believed: nothing waited longer than the device was in the room', async () => {
  await room.goTo('ask', 'q1');
  const joinedAtMs = school.clockMs;
  const anouk = await room.join('Anouk');
  school.clockMs += 30_000;
  await room.tell({ type: 'close', askingId: 'q1' });
  school.clockMs += 5000;
  await respond(anouk, { ...reading('7', '30'), waitedMs: DAY_MS });
  const { late, receivedAtMs } = (await room.live()).responses[0]!;
  expect(late).toEqual({ givenAtMs: joinedAtMs, closedAtMs: joinedAtMs + 30_000, counted: false });
  expect(receivedAtMs).toBe(school.clockMs);
  // The server's own clock alone says whether an answer is late.
  await room.goTo('ask', 'q2');
  expect((await respond(anouk, { ...setHands(), waitedMs: DAY_MS })).json()).toMatchObject({ late: false });
});

test('a thousand wrong keys from everywhere find nothing and hold up nobody: who was here before comes in, who is new knocks', async () => {
  await school.remove();
  school = await new School().start({ limits: { roomKey: { perDevice: 12, perAddress: 60, perServer: 300, turnMs: 0 } } });
  teacher = await school.teacher();
  room = await TestRoom.open(school, teacher);
  const known = await room.join('Anouk');
  const [first, ...others] = room.key;
  const wrongKey = [...others, first!];
  const codes = new Map<number, number>();
  for (let batch = 0; batch < 10; batch++) {
    const tries = Array.from({ length: 100 }, (_, address) =>
      school.app.inject({
        method: 'POST',
        url: '/api/desk/room',
        remoteAddress: `127.0.0.${address + 1}`,
        headers: { host: 'school.test' },
        payload: { roomKey: wrongKey },
      }),
    );
    for (const { statusCode } of await Promise.all(tries)) codes.set(statusCode, (codes.get(statusCode) ?? 0) + 1);
  }
  expect(Object.fromEntries(codes)).toEqual({ 404: 300, 409: 700 });
  expect((await room.live()).outside.wrongKeys).toBe(300);

  const join = (who: Browser, name: string, knockId?: string) =>
    who.send('POST', '/api/desk/join', { joinId: randomUUID(), roomKey: room.key, pupilId: room.pupilId(name), knockId });
  await known.send('POST', '/api/desk/leave');
  expect((await join(known, 'Anouk')).json()).toMatchObject({ pupilName: 'Anouk' });

  const [comes, guesses, knockId] = [school.browser(), school.browser(), randomUUID()];
  expect((await join(comes, 'Bashir')).json().code).toBe('DOOR_CROWDED');
  const knock = (who: Browser, id: string, roomKey: readonly string[]) => who.send('POST', '/api/desk/knock', { knockId: id, roomKey });
  const answer = async (id: string) => (await comes.send('POST', '/api/desk/knock/answer', { knockId: id, roomKey: room.key })).json();
  const [right, wrong] = [await knock(comes, knockId, room.key), await knock(guesses, randomUUID(), wrongKey)];
  expect([right.statusCode, right.body]).toEqual([wrong.statusCode, wrong.body]);
  expect(await answer(knockId)).toEqual({ room: null }); // the door is open, and still the teacher has to say so
  expect((await room.live()).outside.knocks).toMatchObject([{ id: knockId }]);
  await teacher.send('POST', `/api/sessions/${room.detail.id}/knocks/${knockId}/open`);
  expect((await answer(knockId)).room.pupils).toHaveLength(2);
  expect((await join(comes, 'Bashir', knockId)).json()).toMatchObject({ pupilName: 'Bashir' });
});

test('an answer is given so often and not a hundred times', async () => {
  const anouk = await room.join('Anouk');
  await room.goTo('ask', 'q1');
  for (let attempt = 1; attempt <= 60; attempt++) expect((await respond(anouk, reading('7', '30'))).json()).toMatchObject({ attempt });
  expect((await respond(anouk, reading('8', '30'))).json()).toMatchObject({ code: 'QUESTION_NOT_OPEN' });
});
