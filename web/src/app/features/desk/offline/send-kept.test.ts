import { IDBFactory } from 'fake-indexeddb';
import { deskView } from '../../../testing/desk';
import { FakeServer, Refusal } from '../../../testing/fake-server';
import { Outbox } from '../outbox';
import { sendKept } from './send-kept';

const SEND = 'POST /api/desk/responses';
const [OWN, OTHER, REFUSED] = ['1', '2', '3'].map((digit) => `${digit.repeat(8)}-2222-4222-8222-222222222222`) as [string, string, string];
let server: FakeServer;
let outbox: Outbox;

const put = (id: string, participantId: string, putAtMs: number) =>
  outbox.put({
    id,
    participantId,
    putAtMs,
    post: { id, askingId: 'q1', response: { kind: 'read-dial', hour: '7', minute: '30' }, responseTimeMs: 4200 },
  });
const left = async () => (await outbox.all()).map(({ id }) => id);

beforeEach(async () => {
  globalThis.indexedDB = new IDBFactory();
  outbox = new Outbox();
  const { participantId } = deskView();
  await put(OWN, participantId, Date.now() - 60_000);
  await put(OTHER, OTHER, 2);
  await put(REFUSED, participantId, 3);
  server = new FakeServer({
    'GET /api/desk': () => deskView(),
    [SEND]: (body: unknown) =>
      (body as { id: string }).id === REFUSED ? new Refusal('ASKING_UNKNOWN', 'There is no such question.', 404) : body,
  });
});

test('with the desk closed what waits goes out: the answers of who is at the device, once, and with how long they waited', async () => {
  await sendKept(outbox);
  expect(server.sent(SEND).map((post) => (post as { id: string }).id)).toEqual([REFUSED, OWN]);
  const { waitedMs } = server.sent(SEND)[1] as { waitedMs: number };
  expect(Math.round(waitedMs / 10_000)).toBe(6);
  // Refused for good: the desk says so when it is opened. The other pupil's answer waits for the other pupil.
  expect(await left()).toEqual([OTHER, REFUSED]);
  await outbox.remove(REFUSED);
  await sendKept(outbox);
  expect(server.sent(SEND)).toHaveLength(2);
});

test('while there is no line everything stays, and the browser is told to wake the worker again', async () => {
  server.reachable = false;
  await expect(sendKept(outbox)).rejects.toMatchObject({ code: 'LINE_LOST' });
  expect(await left()).toEqual([OTHER, REFUSED, OWN]);
});
