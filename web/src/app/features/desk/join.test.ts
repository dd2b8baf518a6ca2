import { deskView } from '../../testing/desk';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { heard, render } from '../../testing/render';
import { Join } from './join';

const ROOM = 'POST /api/desk/room';
const JOIN = 'POST /api/desk/join';
const room = (...names: string[]) => ({ className: 'Terns', pupils: names.map((name) => ({ id: `id-${name}`, name })), inAlready: [] });

let server: FakeServer;
async function open() {
  const screen = await render(Join);
  const joined = heard((screen.component as Join).joined);
  const settle = async () => {
    await new Promise((resolve) => setTimeout(resolve));
    await screen.settled();
  };
  const press = async (...names: string[]) => {
    for (const name of names) await screen.press(name);
    await settle();
  };
  return { ...screen, press, joined, alert: () => screen.find.queryByRole('alert')?.textContent?.trim(), settle };
}
beforeEach(() => (server = new FakeServer({ [ROOM]: room('Quill', 'Runa'), [JOIN]: () => deskView({ pupilName: 'Runa' }) })));

test('four pictures and a name, and one is in', async () => {
  const { press, joined, find } = await open();
  await press('boat', 'lamp', 'boat');
  expect(find.getByRole('status').getAttribute('aria-label')).toBe('Chosen: boat, lamp, boat');
  expect(server.asked).toEqual([]);
  await press('shell');
  expect(server.sent(ROOM)).toEqual([{ roomKey: ['boat', 'lamp', 'boat', 'shell'] }]);
  await press('Runa');
  expect(joined).toMatchObject([{ pupilName: 'Runa' }]);
});

test('a picture can be rubbed out, and a wrong key keeps the pictures for another look', async () => {
  server.on(ROOM, new Refusal('ROOM_KEY_UNKNOWN', 'No room has these four pictures in this order.'));
  const { press, find, alert } = await open();
  await press('boat', 'lamp');
  await press('Rub out');
  await press('star', 'drum', 'kite');
  expect(alert()).toContain('No room has these four pictures in this order.');
  expect(find.getByRole('status').getAttribute('aria-label')).toBe('Chosen: boat, star, drum, kite');
  await press('Rub out');
  expect(alert()).toBeUndefined();
});

test('typed names: a wrong one is named, too few are counted, and short beginnings will do', async () => {
  const { press, type, find, alert } = await open();
  const box = find.getByLabelText('Or type their names');
  const go = async (text: string) => {
    await type(box, text);
    await press('Go in');
  };
  await go('boat castle');
  expect(alert()).toContain('There is no picture “castle”.');
  await go('boat lamp');
  expect(alert()).toBe('It takes four pictures, or six for a lesson to do alone. These are 2.');
  await go('boat la pu ank'.replace('ank', 'anch'));
  expect(server.sent(ROOM)).toEqual([{ roomKey: ['boat', 'lamp', 'puffin', 'anchor'] }]);
});

test('the six pictures of a lesson to do alone are six, though four of them led nowhere', async () => {
  server.on(ROOM, new Refusal('ROOM_KEY_UNKNOWN', 'No room has these four pictures in this order.'));
  const { press, alert } = await open();
  await press('boat', 'lamp', 'shell', 'star');
  expect(alert()).toContain('No room has these four pictures');
  await press('There are six pictures');
  server.on(ROOM, room('Quill'));
  await press('drum', 'kite');
  expect(server.sent(ROOM).at(-1)).toEqual({ roomKey: ['boat', 'lamp', 'shell', 'star', 'drum', 'kite'] });
});

test('where the door is crowded with wrong pictures, one has knocked by coming', async () => {
  server.on(ROOM, new Refusal('DOOR_CROWDED', 'Your teacher opens the door to you.'));
  server.on('POST /api/desk/knock', undefined);
  const { press, find } = await open();
  await press('boat', 'lamp', 'shell', 'star');
  expect(server.sent('POST /api/desk/knock')).toMatchObject([{ roomKey: ['boat', 'lamp', 'shell', 'star'] }]);
  expect(find.getByText('You have knocked.')).toBeTruthy();
});

test('a name that was just taken goes from the list; a join whose answer was lost is the same join when tried again', async () => {
  const { press, find, alert, joined } = await open();
  await press('boat', 'lamp', 'boat', 'shell');
  server.on(JOIN, new Refusal('NAME_TAKEN', 'Quill is in the room already.'));
  server.on(ROOM, room('Runa'));
  await press('Quill');
  expect(alert()).toBe('Quill is in the room already.');
  expect(find.queryByRole('button', { name: 'Quill' })).toBeNull();
  server.on(JOIN, () => Promise.reject(new TypeError('fetch failed')));
  await press('Runa');
  server.on(JOIN, deskView());
  await press('Runa');
  const ids = server.sent(JOIN).map((body) => (body as { joinId: string }).joinId);
  expect([ids[1] === ids[2], ids[0] === ids[1], joined.length]).toEqual([true, false, 1]);
});

test('before a closed door one knocks, waits, and chooses a name when the teacher opens', async () => {
  server.on(ROOM, new Refusal('ROOM_KEY_UNKNOWN', 'No open door has these four pictures in this order.'));
  server.on('POST /api/desk/knock', undefined);
  let answers = 0;
  server.on('POST /api/desk/knock/answer', () => ({ room: ++answers < 2 ? null : room('Runa') }));
  const { press, find, joined, settled } = await open();
  await press('boat', 'lamp', 'drum', 'shell');
  const timers: (() => void)[] = [];
  const later = jest.spyOn(window, 'setTimeout').mockImplementation(((work: () => void, ms?: number) => {
    if (ms === 3000) timers.push(work);
    else queueMicrotask(work);
    return 0;
  }) as never);
  await press('Knock at the door');
  expect(find.getByRole('heading').textContent).toBe('You have knocked.');
  for (let asked = 0; asked < 2; asked++) {
    timers.shift()!();
    for (let turn = 0; turn < 20; turn++) await Promise.resolve();
    await settled();
  }
  later.mockRestore();
  await press('Runa');
  const [{ knockId }] = server.sent('POST /api/desk/knock') as [{ knockId: string }];
  expect(server.sent(JOIN)).toMatchObject([{ knockId }]);
  expect(joined).toHaveLength(1);
});

test('four pictures that led nowhere are begun anew at the next touch', async () => {
  server.on(ROOM, new Refusal('ROOM_KEY_UNKNOWN', 'No room has these four pictures in this order.'));
  const { press, find, alert } = await open();
  await press('boat', 'star', 'drum', 'kite');
  expect(alert()).toContain('No room has these four pictures in this order.');
  await press('lamp');
  expect(find.getByRole('status').getAttribute('aria-label')).toBe('Chosen: lamp');
  expect(alert()).toBeUndefined();
});

test('without a line coming in goes on by itself once it is back, unless other pictures are meant by then', async () => {
  const timers = jest.spyOn(window, 'setTimeout');
  const retry = async () => {
    const again = timers.mock.calls.filter(([, ms]) => ms === 2000).at(-1)![0] as () => void;
    again();
    await settle();
  };
  const { press, find, alert, settle } = await open();
  server.reachable = false;
  await press('boat', 'lamp', 'boat', 'shell');
  expect(alert()).toContain('There is no line just now.');
  await retry();
  expect(alert()).toContain('There is no line just now.');
  server.reachable = true;
  await retry();
  expect(find.getByRole('button', { name: 'Runa' })).toBeTruthy();
  timers.mockRestore();
});

test('whoever knocks and is not heard is told so after a while, whether there is such a room or not', async () => {
  server.on(ROOM, new Refusal('ROOM_KEY_UNKNOWN', 'No room has these four pictures in this order.'));
  server.on('POST /api/desk/knock', undefined);
  server.on('POST /api/desk/knock/answer', { room: null });
  const timers = jest.spyOn(window, 'setTimeout');
  const clock = jest.spyOn(Date, 'now');
  const { press, find, settle } = await open();
  await press('boat', 'star', 'drum', 'kite');
  clock.mockReturnValue(1_000_000);
  await press('Knock at the door');
  const ask = async (atMs: number) => {
    clock.mockReturnValue(atMs);
    (timers.mock.calls.filter(([, ms]) => ms === 3000).at(-1)![0] as () => void)();
    await settle();
    return find.getByRole('status').textContent!.trim();
  };
  expect(await ask(1_010_000)).toContain('Wait here.');
  expect(await ask(1_050_000)).toContain('Nobody has opened yet.');
  await press('Other pictures');
  expect(find.getByRole('status').getAttribute('aria-label')).toBe('No picture chosen yet');
  clock.mockRestore();
  timers.mockRestore();
});
