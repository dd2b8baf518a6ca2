import { randomUUID } from 'node:crypto';
import { reading, respond, schoolWithRoom, TestRoom, type SchoolWithRoom } from '../../testing/school.js';

let [school, teacher, room] = [] as unknown as SchoolWithRoom;
beforeEach(async () => ([school, teacher, room] = await schoolWithRoom()));
afterEach(() => school.remove());

const codeOf = (reply: { json: () => { code: string } }) => reply.json().code;

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
    inAlready: room.detail.pupils.filter((pupil) => pupil.name === 'Anouk'),
    newcomers: false,
  });
});

test('the same join sent again is one join, and the device goes on with its new cookie', async () => {
  const body = { joinId: randomUUID(), pupilId: room.pupilId('Bashir') };
  await join(body);
  const first = school.browser();
  await first.send('POST', '/api/desk/join', { roomKey: room.key, ...body });
  const line = await school.app.injectWS('/ws/desk', { headers: { host: 'school.test', cookie: first.cookie } });
  const ended = new Promise((resolve) => line.once('close', resolve));
  const again = await join(body);
  expect(again.statusCode).toBe(200);
  // The token before it opens nothing any more, and its line is closed.
  await ended;
  expect(codeOf(await first.send('GET', '/api/desk'))).toBe('DESK_NOT_JOINED');
  expect((await room.live()).participants).toHaveLength(1);
});

test('the name of one who was sent out can be chosen again, and the old device is out', async () => {
  const old = await room.join('Ceri');
  const [participant] = (await room.live()).participants;
  await teacher.send('POST', `/api/sessions/${room.detail.id}/participants/${participant!.id}/send-out`);
  expect(codeOf(await old.send('GET', '/api/desk'))).toBe('DESK_NOT_JOINED');
  expect((await (await room.join('Ceri')).send('GET', '/api/desk')).json().pupilName).toBe('Ceri');
});

test('an ended room lets nobody in and its key is free for others', async () => {
  await room.tell({ type: 'end' });
  expect(codeOf(await join({ pupilId: room.pupilId('Anouk') }))).toBe('ROOM_KEY_UNKNOWN');
});

test('a desk whose lesson is over is told when the next one of its class is open, and of no other class', async () => {
  const anouk = await room.join('Anouk');
  const next = async () => (await anouk.send('GET', '/api/desk/next')).json();
  expect(await next()).toEqual({ open: false }); // its own is no next one
  await room.tell({ type: 'end' });
  expect(await next()).toEqual({ open: false });
  await TestRoom.open(school, teacher);
  expect(await next()).toEqual({ open: true });
  expect((await school.browser().send('GET', '/api/desk/next')).json()).toMatchObject({ code: 'DESK_NOT_JOINED' });
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
  // What was kept before the end is acknowledged again after it; what is new is late.
  expect((await respond(anouk, body)).json()).toEqual(kept);
  expect((await respond(anouk, reading('7', '30'))).json()).toMatchObject({ attempt: 2, late: true });
  // A command whose answer was lost, and ending once more, answer as the room is.
  expect((await room.tell({ type: 'end' })).json()).toMatchObject({ room: { phase: 'ended' } });
  expect(codeOf(await room.tell({ type: 'begin' }))).toBe('ROOM_NOT_RUNNING');
});
