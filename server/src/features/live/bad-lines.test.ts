import { randomUUID } from 'node:crypto';
import { reading, respond, School, schoolWithRoom, TestRoom, type SchoolWithRoom } from '../../testing/school.js';

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

test('a thousand wrong keys from a hundred addresses find nothing, are told to the teacher, and shut no pupil out', async () => {
  await school.remove();
  school = await new School().start({ limits: { roomKey: { perDevice: 12, perAddress: 60, perServer: 300, turnMs: 0 } } });
  teacher = await school.teacher();
  room = await TestRoom.open(school, teacher);
  const [first, ...others] = room.key;
  const wrongKey = [...others, first];
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
  expect([...codes.keys()].every((code) => code === 404 || code === 429)).toBe(true);
  expect(codes.get(404)).toBeGreaterThan(0);
  expect((await room.live()).outside.wrongKeys).toBeGreaterThan(100);
  expect((await (await room.join('Anouk')).send('GET', '/api/desk')).json()).toMatchObject({ pupilName: 'Anouk' });
});
