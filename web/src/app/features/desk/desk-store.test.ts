import { TestBed } from '@angular/core/testing';
import { IDBFactory } from 'fake-indexeddb';
import { deskView, questionView } from '../../testing/desk';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { FakeSocket } from '../../testing/fake-socket';
import { DeskStore } from './desk-store';

const SEND = 'POST /api/desk/responses';
const half = { kind: 'read-dial', hour: '7', minute: '30' } as const;
const kept = (body: unknown) => ({ id: (body as { id: string }).id, itemId: 'q1', attempt: 1, receivedAtMs: 0 });

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
  FakeSocket.install();
  globalThis.indexedDB = new IDBFactory();
  server = new FakeServer({ 'GET /api/desk': () => deskView(), [SEND]: kept });
});
afterEach(() => {
  TestBed.resetTestingModule();
  jest.useRealTimers();
});

test('an answer is kept once the server has it', async () => {
  await load();
  FakeSocket.latest.accept();
  expect(store.safety()).toBe('none');
  void store.answer(half, 4200.6);
  await wait();
  expect(store.safety()).toBe('kept');
  expect(store.given()).toEqual(half);
  expect(server.sent(SEND)).toMatchObject([{ itemId: 'q1', response: half, responseTimeMs: 4201 }]);
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
  expect(store.view()?.question?.phase).toBe('closed');
  FakeSocket.latest.hear({ type: 'released' });
  expect([store.phase(), store.view(), store.problem()]).toEqual([
    'joining',
    null,
    'Your teacher has freed your name. Please come in again.',
  ]);
});

test('a device that is in no room asks for the pictures; without a line it goes on trying', async () => {
  server.reachable = false;
  await load();
  expect([store.phase(), store.problem()]).toEqual(['asking', 'The server cannot be reached just now.']);
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
