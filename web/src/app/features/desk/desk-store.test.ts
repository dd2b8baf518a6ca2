import { TestBed } from '@angular/core/testing';
import { IDBFactory } from 'fake-indexeddb';
import { deskView, questionView } from '../../testing/desk';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { FakeSocket } from '../../testing/fake-socket';
import { DeskStore } from './desk-store';

const SEND = 'POST /api/desk/responses';
const half = { kind: 'read-dial', hour: '7', minute: '30' } as const;
const kept = (body: unknown) => ({ id: (body as { id: string }).id, askingId: 'q1', attempt: 1, receivedAtMs: 0, late: false });

let server: FakeServer;
let store: InstanceType<typeof DeskStore>;
const realTimeout = setTimeout;
/** Lets some time of the page pass. The device's store answers in real turns of the event loop. */
async function wait(ms = 50): Promise<void> {
  for (let turn = 0; turn < 10; turn++) {
    await jest.advanceTimersByTimeAsync(ms / 10);
    await new Promise((resolve) => realTimeout(resolve, 0));
  }
}
/** Loads the page: nothing is left but what the device and the server keep. */
async function load(): Promise<void> {
  TestBed.resetTestingModule();
  store = TestBed.configureTestingModule({ providers: [DeskStore] }).inject(DeskStore);
  await wait();
}
beforeEach(() => {
  jest.useFakeTimers();
  localStorage.clear();
  FakeSocket.install();
  globalThis.indexedDB = new IDBFactory();
  server = new FakeServer({ 'GET /api/desk': () => deskView(), [SEND]: kept });
});
afterEach(() => {
  TestBed.resetTestingModule();
  jest.useRealTimers();
});

test('a device that is in no room shows the pictures before the server was asked, one that is waits for its word', async () => {
  const begins = () => {
    TestBed.resetTestingModule();
    store = TestBed.configureTestingModule({ providers: [DeskStore] }).inject(DeskStore);
    return store.phase();
  };
  expect(begins()).toBe('joining');
  await wait();
  expect(store.phase()).toBe('in');
  server.on('GET /api/desk', new Refusal('DESK_NOT_JOINED', 'This device is in no room.'));
  expect(begins()).toBe('asking');
  await wait();
  expect([store.phase(), begins()]).toEqual(['joining', 'joining']);
});

test('an answer is kept once the server has it', async () => {
  await load();
  FakeSocket.latest.accept();
  expect(store.safety()).toBe('none');
  void store.answer(half, 4200.6);
  await wait();
  expect(store.safety()).toBe('kept');
  expect(store.given()).toEqual(half);
  expect(server.sent(SEND)).toMatchObject([{ askingId: 'q1', response: half, responseTimeMs: 4201 }]);
});

test('without a line an answer waits on the device, also through a reload, and goes out once when the line is back', async () => {
  await load();
  FakeSocket.latest.accept();
  server.reachable = false;
  void store.answer(half, 4000);
  await wait();
  expect(store.safety()).toBe('waiting');
  server.reachable = true;
  server.on(SEND, () => Promise.reject(new TypeError('fetch failed')));
  await load();
  expect([store.safety(), store.given()]).toEqual(['waiting', half]);
  server.on(SEND, kept);
  FakeSocket.latest.accept();
  await wait();
  expect(store.safety()).toBe('kept');
  const ids = server.sent(SEND).map((body) => (body as { id: string }).id);
  expect(new Set(ids).size).toBe(1); // the same answer every time it was tried
  await load();
  expect(store.waiting()).toEqual([]);
});

test('an answer that is refused for good is told so and does not hold up the next one', async () => {
  await load();
  FakeSocket.latest.accept();
  server.on(SEND, new Refusal('QUESTION_NOT_OPEN', 'This question is not open any more, so the answer was not taken.'));
  void store.answer(half, 1);
  await wait();
  expect([store.safety(), store.problem()]).toEqual(['none', 'This question is not open any more, so the answer was not taken.']);
  server.on(SEND, kept);
  void store.answer({ ...half, hour: '8' }, 1);
  await wait();
  expect(store.safety()).toBe('kept');
  expect(server.sent(SEND)).toHaveLength(2);
});

test.each([
  [500, 'INTERNAL'],
  [429, 'REQUEST_RATE'],
  [503, 'INTERNAL'],
])('an answer outlives trouble at the server: status %i', async (status, code) => {
  await load();
  FakeSocket.latest.accept();
  server.on(SEND, new Refusal(code, 'Not just now.', status));
  void store.answer(half, 1);
  await wait();
  expect([store.safety(), store.given(), store.problem()]).toEqual(['waiting', half, null]);
  await load();
  expect([store.safety(), store.given()]).toEqual(['waiting', half]); // the device keeps it, too
  server.on(SEND, kept);
  FakeSocket.latest.accept();
  await wait();
  expect([store.safety(), store.waiting()]).toEqual(['kept', []]);
});

test('an answer that the server cannot take holds up no other question, and is tried again after pauses that grow', async () => {
  await load();
  FakeSocket.latest.accept();
  server.on(SEND, (body: unknown) =>
    (body as { askingId: string }).askingId === 'q1' ? new Refusal('INTERNAL', 'Not just now.', 500) : kept(body),
  );
  void store.answer(half, 1);
  await wait();
  FakeSocket.latest.hear({ type: 'view', view: deskView({ question: questionView({ askingId: 'q2' }) }) });
  await wait();
  void store.answer({ ...half, hour: '8' }, 1);
  await wait();
  expect(store.waiting().map(({ post }) => post.askingId)).toEqual(['q1']);
  const triedBefore = server.sent(SEND).length;
  await wait(100_000);
  const tried = server.sent(SEND).length - triedBefore;
  expect(tried).toBeGreaterThanOrEqual(4);
  expect(tried).toBeLessThanOrEqual(9); // every 1.5 s it would be 66
});

test('what waits for another place in another room is neither shown nor sent', async () => {
  await load();
  server.reachable = false;
  void store.answer(half, 1);
  await wait();
  server.reachable = true;
  server.on('GET /api/desk', deskView({ participantId: '22222222-2222-4222-8222-222222222222', pupilName: 'Yusra' }));
  const before = server.sent(SEND).length;
  await load();
  FakeSocket.latest.accept();
  await wait(5000);
  expect([store.given(), server.sent(SEND).length]).toEqual([null, before]);
});

test('the desk follows what it is told, and goes back to the pictures when its name is freed', async () => {
  await load();
  FakeSocket.latest.accept();
  FakeSocket.latest.hear({ type: 'view', view: deskView({ question: questionView({ phase: 'closed' }) }) });
  await wait();
  expect(store.view()?.question?.phase).toBe('closed');
  FakeSocket.latest.hear({ type: 'released' });
  expect([store.phase(), store.view(), store.problem()]).toEqual(['joining', null, 'You are out of the room. You can come in again here.']);
});

test('without a line a device goes on asking where it stands, with the pictures before it', async () => {
  server.reachable = false;
  await load();
  expect([store.phase(), store.problem()]).toEqual(['joining', 'The server cannot be reached just now.']);
  server.reachable = true;
  server.on('GET /api/desk', new Refusal('DESK_NOT_JOINED', 'This device is in no room.'));
  await wait(1500);
  expect([store.phase(), store.problem()]).toEqual(['joining', null]);
});

test('a device that keeps nothing still sends its answer, and says that the page must stay open', async () => {
  globalThis.indexedDB = {
    open: () => {
      throw new DOMException('denied', 'SecurityError');
    },
  } as unknown as IDBFactory;
  await load();
  FakeSocket.latest.accept();
  server.on(SEND, () => Promise.reject(new TypeError('fetch failed')));
  void store.answer(half, 1);
  await wait();
  expect([store.safety(), store.given(), store.deviceKeeps()]).toEqual(['waiting', half, false]);
  server.on(SEND, kept);
  await wait(1500);
  expect(store.safety()).toBe('kept');
});

test('of two views that come close together the later one is shown, whatever has to be loaded for either', async () => {
  await load();
  FakeSocket.latest.accept();
  const { view } = questionView();
  FakeSocket.latest.hear({ type: 'view', view: deskView({ seq: 2, question: questionView({ view: { ...view, stem: 'Earlier?' } }) }) });
  FakeSocket.latest.hear({ type: 'view', view: deskView({ seq: 3, question: null }) });
  await wait();
  expect(store.view()).toMatchObject({ seq: 3, question: null });
});

test.each([
  ['that tells more than a view of its shape may', { ...questionView().view, key: '7:30' }],
  ['of a shape that this page does not know', { ...questionView().view, shape: 'sundial' }],
])('a question %s is not shown; the view is asked for again, ever more seldom', async (_, view) => {
  await load();
  FakeSocket.latest.accept();
  const bad = deskView({ seq: 9, question: questionView({ view: view as never }) });
  for (let second = 0; second < 60; second++) {
    FakeSocket.latest.hear({ type: 'view', view: bad });
    await wait(1000);
  }
  expect(store.view()?.seq).toBe(1);
  const syncs = FakeSocket.latest.sent.filter((text) => text.includes('sync')).length;
  expect(syncs).toBeGreaterThan(2);
  expect(syncs).toBeLessThan(12);
});

test('an answer that an older version of this page kept on the device still goes out', async () => {
  const { openDB } = await import('idb');
  const db = await openDB('zeitpunkt-desk', 1, { upgrade: (opened) => void opened.createObjectStore('outbox', { keyPath: 'id' }) });
  const id = '22222222-2222-4222-8222-222222222222';
  const post = { id, itemId: 'q1', response: half, responseTimeMs: 4200 };
  await db.put('outbox', { id, participantId: deskView().participantId, putAtMs: 1, post });
  db.close();
  await load();
  expect(store.safety()).toBe('waiting');
  FakeSocket.latest.accept();
  await wait();
  expect(server.sent(SEND)).toEqual([{ id, askingId: 'q1', response: half, responseTimeMs: 4200, waitedMs: expect.any(Number) }]);
  expect(store.safety()).toBe('kept');
});

test('an answer of the other pupil that waits on a shared device is not shown as one’s own, and goes out all the same', async () => {
  const { openDB } = await import('idb');
  const db = await openDB('zeitpunkt-desk', 1, { upgrade: (opened) => void opened.createObjectStore('outbox', { keyPath: 'id' }) });
  const [id, other] = ['22222222-2222-4222-8222-222222222222', '33333333-3333-4333-8333-333333333333'];
  const post = { id, askingId: 'q1', response: half, responseTimeMs: 4200 };
  await db.put('outbox', { formatVersion: 2, id, participantId: other, putAtMs: 1, post });
  db.close();
  const { participantId } = deskView();
  localStorage.setItem('zp-beside', JSON.stringify([{ participantId, pupilName: 'Anouk' }, { participantId: other, pupilName: 'Bashir' }])); // prettier-ignore
  server.on(SEND, () => Promise.reject(new TypeError('fetch failed')));
  await load();
  expect(store.waiting().map((one) => one.participantId)).toEqual([other]);
  expect([store.safety(), store.given()]).toEqual(['none', null]);
  localStorage.clear();
});

test('what a device refuses or damages is not kept, and the desk works', async () => {
  localStorage.setItem('zp-beside', '{"broken"');
  await load();
  expect([store.phase(), store.beside()]).toEqual(['in', null]);
  const refuse = jest.spyOn(Storage.prototype, 'getItem').mockImplementation(() => {
    throw new DOMException('denied', 'SecurityError');
  });
  await load();
  expect([store.phase(), store.beside()]).toEqual(['in', null]);
  refuse.mockRestore();
  localStorage.clear();
});

test('when the lesson has ended the line is closed and stays so', async () => {
  await load();
  FakeSocket.latest.accept();
  FakeSocket.latest.hear({ type: 'view', view: deskView({ phase: 'ended', question: null }) });
  await wait(10_000);
  expect([FakeSocket.all.length, store.view()?.phase]).toEqual([1, 'ended']);
});

test('a page of another build than the server’s says so', async () => {
  document.head.innerHTML = '<meta name="zeitpunkt-build" content="of-yesterday">';
  await load();
  FakeSocket.latest.accept();
  expect(store.outdated()).toBe(false);
  FakeSocket.latest.hear({ type: 'hello', build: 'of-today' });
  expect(store.outdated()).toBe(true);
});
