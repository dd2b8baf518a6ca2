import { randomUUID } from 'node:crypto';
import { reading, respond, schoolWithRoom, type Browser, type SchoolWithRoom } from '../../testing/school.js';

let [school, teacher, room] = [] as unknown as SchoolWithRoom;
let url: string;
beforeEach(async () => {
  [school, teacher, room] = await schoolWithRoom();
  url = `/api/classes/${(await teacher.send('GET', '/api/classes')).json()[0].id}`;
});
afterEach(() => school.remove());

const makeCard = async (name: string): Promise<string> =>
  (await teacher.send('POST', `${url}/cards`, { pupilIds: [room.pupilId(name)] })).json().cards[0].token;
const show = async (token: string, device = school.browser()) => (await device.send('POST', '/api/desk/card', { token })).json();
const join = (device: Browser, token: string) =>
  device.send('POST', '/api/desk/card/join', { token, sessionId: room.detail.id, joinId: randomUUID() });

test('a card says whose it is and where it leads, and opens without waiting, past a closed door too', async () => {
  await room.tell({ type: 'door-admits', admits: 'one-by-one' });
  await room.tell({ type: 'door', open: false });
  const token = await makeCard('Anouk');
  expect(await show(token)).toEqual({
    pupilName: 'Anouk',
    className: 'Terns',
    lessons: [{ sessionId: room.detail.id, title: 'Half past at the harbour', own: null }],
  });
  expect((await join(school.browser(), token)).json()).toMatchObject({ phase: 'lobby', pupilName: 'Anouk' });
  await room.tell({ type: 'end' });
  expect((await show(token)).lessons).toEqual([]);
  expect((await join(school.browser(), token)).json()).toMatchObject({ code: 'NOT_FOUND' });
});

test('with a card a second device takes over where the first one stood; the first is told and its token opens nothing', async () => {
  const token = await makeCard('Anouk');
  const first = await room.join('Anouk');
  await room.goTo('ask', 'q1');
  await respond(first, reading('7', '30'));
  const line = await school.app.injectWS('/ws/desk', { headers: { host: 'school.test', cookie: first.cookie } });
  const heard: string[] = [];
  line.on('message', (data) => heard.push(JSON.parse(String(data)).type));
  const closed = new Promise((resolve) => line.once('close', resolve));
  const second = school.browser();
  expect((await join(second, token)).json()).toMatchObject({ question: { askingId: 'q1', given: { attempt: 1 } } });
  await closed;
  expect(heard.at(-1)).toBe('moved');
  expect((await first.send('GET', '/api/desk')).json()).toMatchObject({ code: 'DESK_NOT_JOINED' });
  expect((await room.live()).participants).toHaveLength(1);
});

test('by key a second device waits for the teacher’s yes, and takes over then', async () => {
  const first = await room.join('Anouk');
  const body = { joinId: randomUUID(), roomKey: room.key, pupilId: room.pupilId('Anouk') };
  expect((await school.browser().send('POST', '/api/desk/room', { roomKey: room.key })).json().inAlready).toMatchObject([
    { name: 'Anouk' },
  ]);
  const second = school.browser();
  expect((await second.send('POST', '/api/desk/join', { ...body, again: true })).json()).toMatchObject({ phase: 'door' });
  expect((await first.send('GET', '/api/desk')).json()).toMatchObject({ phase: 'lobby' });
  await teacher.send('POST', `/api/sessions/${room.detail.id}/let-in`, { participantIds: [body.joinId] });
  expect((await second.send('GET', '/api/desk')).json()).toMatchObject({ phase: 'lobby', pupilName: 'Anouk' });
  expect((await first.send('GET', '/api/desk')).json()).toMatchObject({ code: 'DESK_NOT_JOINED' });
  expect((await room.live()).participants).toMatchObject([{ id: body.joinId, waits: false }]);
});

test('a card that was made anew, taken back, or whose pupil left opens nothing; its token stands nowhere', async () => {
  const [old, now] = [await makeCard('Anouk'), await makeCard('Anouk')];
  expect(await show(old)).toMatchObject({ code: 'CARD_UNKNOWN' });
  expect(school.store.sqlite.serialize().includes(now)).toBe(false);
  const pupils = `${url}/pupils/${room.pupilId('Anouk')}`;
  await teacher.send('POST', `${pupils}/leave`, { left: true });
  expect(await show(now)).toMatchObject({ code: 'CARD_UNKNOWN' });
  await teacher.send('POST', `${pupils}/leave`, { left: false });
  expect(await show(now)).toMatchObject({ pupilName: 'Anouk' });
  await teacher.send('POST', `${url}/cards/revoke`, { pupilIds: [room.pupilId('Anouk')] });
  expect(await show(now)).toMatchObject({ code: 'CARD_UNKNOWN' });
  expect(await show('A'.repeat(22))).toMatchObject({ code: 'CARD_UNKNOWN' });
  expect(await show('short')).toMatchObject({ code: 'REQUEST_SHAPE' });
});
