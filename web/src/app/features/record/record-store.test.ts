import 'fake-indexeddb/auto';
import { TestBed } from '@angular/core/testing';
import type { RecordingDetail } from '@zeitpunkt/contract';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import { prepareLesson } from '@zeitpunkt/core/lesson/prepare';
import { type Take, LONGEST_TAKE_MS } from '@zeitpunkt/core/voice/take';
import { IDBFactory } from 'fake-indexeddb';
import { FakeServer } from '../../testing/fake-server';
import { until } from '../../testing/render';
import { finishTake } from './finish-take';
import { Microphone } from './microphone';
import { RecordStore } from './record-store';
import { TakeStore } from './take-store';
import * as encoders from './take-encoder';

// Recording itself belongs to the journeys: here is what is rare there, and whether anything is lost.
jest.mock('./finish-take', () => ({ finishTake: jest.fn(), fetchCutter: async () => ({}) }));

const ID = '11111111-1111-4111-8111-111111111111';
const TAKES = `/api/lessons/${ID}/takes`;
const TAKE_ID = '22222222-2222-4222-8222-222222222222';
const EMPTY: RecordingDetail = { takes: [], before: [], cutOff: [], keepDays: 365, deletesAtMs: null };
const prepared = prepareLesson({
  title: 'Pier',
  items: [],
  settings: { pack: 'en-GB', wordsPerMinute: 120 },
  beats: [
    { id: 'b1', kind: 'say', text: 'Good morning.' },
    { id: 'b2', kind: 'say', text: 'Goodbye.' },
  ],
} as unknown as Lesson);
const [first, second] = prepared.steps as [(typeof prepared.steps)[number], (typeof prepared.steps)[number]];

let server: FakeServer;
/** The microphone and the encoder of a test: pieces come when the test says so. */
let gone: () => void;
let piece: (text: string) => void;
let locks: { taken: boolean };

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
  localStorage.clear();
  locks = { taken: false };
  Object.defineProperty(navigator, 'locks', {
    configurable: true,
    value: {
      request: async (_name: string, _options: object, work: (lock: object | null) => Promise<void> | null) => {
        if (locks.taken) return work(null);
        locks.taken = true;
        await work({});
        locks.taken = false;
        return undefined;
      },
    },
  });
  jest.spyOn(Microphone, 'open').mockImplementation(async () => {
    const close = jest.fn();
    return { id: 'mic', stream: {}, close, listen: jest.fn(), onGone: (heard: () => void) => (gone = heard) } as unknown as Microphone;
  });
  jest.spyOn(Microphone, 'all').mockResolvedValue([{ id: 'mic', name: 'Desk' }]);
  jest.spyOn(encoders, 'encoderOfBrowser').mockReturnValue((_stream, take) => {
    piece = (text) => take(new TextEncoder().encode(text).buffer as ArrayBuffer);
    return { mime: 'audio/webm;codecs=opus', pause: jest.fn(), resume: jest.fn(), stop: async () => undefined };
  });
  jest.mocked(finishTake).mockImplementation(async ({ id, at, mime, said, fingerprint, madeAtMs }, pieces) => {
    const text = pieces.map((bytes) => Buffer.from(bytes).toString()).join('');
    const times = { durationMs: 1000 * pieces.length, speechDb: -20, speech: [], cues: [{ fromMs: 0, toMs: 900, text }] };
    const take: Take = { id, at, mime, said, fingerprint, madeAtMs, cuesEdited: false, ...times };
    return text ? { take, sound: new ArrayBuffer(8) } : null;
  });
  server = new FakeServer({ [`GET /api/lessons/${ID}/recording`]: EMPTY, [`POST ${TAKES}`]: { pieces: 0 } });
});
afterEach(() => {
  jest.useRealTimers();
  jest.restoreAllMocks();
  TestBed.resetTestingModule();
});

/** The server takes what comes of every take; what it was sent whole is kept here. */
function takesAll(): Take[] {
  const whole: Take[] = [];
  const reply = server as unknown as { reply: (route: string, body: unknown) => Promise<Response> };
  const usual = reply.reply.bind(server);
  window.fetch = (url, init) => {
    const path = String(url);
    const name = /takes\/([0-9a-f-]{36})/.exec(path)?.[1];
    const route = `${init?.method ?? 'GET'} ${path}`;
    if (path.includes('/pieces/')) server.on(route, { pieces: Number(path.split('/').at(-1)) + 1 });
    else if (path.includes('/sound/')) server.on(route, { pieces: 1 });
    else if (path.endsWith('/delete')) server.on(route, EMPTY);
    else if (name)
      server.on(route, (body: unknown) => {
        whole.push(body as Take);
        return { ...EMPTY, takes: [...whole] };
      });
    return usual(route, init?.body);
  };
  return whole;
}

async function open() {
  TestBed.configureTestingModule({ providers: [RecordStore] });
  const store = TestBed.inject(RecordStore);
  await store.load(ID);
  await store.listen(null);
  return store;
}
const kept = () => new TakeStore().takesOf(ID);
const stay = () => new Promise((resolve) => setTimeout(resolve, 20));

test('a take that is taken away can be brought back for a while; then, or when the place is left, it is deleted for good', async () => {
  const take = { id: TAKE_ID, at: first.ref, said: 'Good morning.', fingerprint: '', madeAtMs: 0, durationMs: 900, mime: 'audio/webm', cues: [], cuesEdited: false, generated: false } as unknown as Take; // prettier-ignore
  server.on(`GET /api/lessons/${ID}/recording`, { ...EMPTY, takes: [take] });
  const gone = `POST /api/lessons/${ID}/takes/${TAKE_ID}/delete`;
  server.on(gone, EMPTY);
  const store = await open();
  const undo = store.throwAway(take);
  expect([store.takes(), server.sent(gone)]).toEqual([[], []]);
  undo();
  expect([store.takes(), server.sent(gone)]).toEqual([[take], []]);
  store.throwAway(take);
  store.leaveNow();
  await until(() => server.sent(gone).length === 1);
  expect(store.takes()).toEqual([]);
});

test('each step’s take is on the device while it is recorded, and once the server has it whole it is there alone', async () => {
  const whole = takesAll();
  const store = await open();
  store.beginTake(prepared, first);
  piece('Good ');
  await stay();
  expect(await kept()).toMatchObject([{ at: { beatId: 'b1' }, whole: null }]);
  piece('morning.');
  await store.endTake();
  await until(() => store.safety().waiting === 0 && store.takes().length === 1);
  expect(whole).toMatchObject([{ at: first.ref, said: 'Good morning.', cues: [{ text: 'Good morning.' }] }]);
  expect(await kept()).toEqual([]);
});

test('with the server dead nothing is lost: takes stay on the device, and go out when it is back', async () => {
  const store = await open();
  server.reachable = false;
  for (const step of [first, second]) {
    store.beginTake(prepared, step);
    piece(`said at ${step.ref.beatId}`);
    await store.endTake();
  }
  await until(() => store.takes().length === 2 && store.safety().lineLost);
  expect(store.safety()).toMatchObject({ waiting: 2, deviceKeeps: true, lineLost: true });
  expect(await kept()).toHaveLength(2);
  const whole = takesAll();
  server.reachable = true;
  while (store.safety().waiting > 0) await stay();
  expect(whole.map(({ cues }) => cues[0]!.text)).toEqual(['said at b1', 'said at b2']);
}, 20_000);

test('a take that a closed page left behind is made whole by the next one', async () => {
  const whole = takesAll();
  const [id, mime] = ['22222222-2222-4222-8222-222222222222', 'audio/webm;codecs=opus'];
  const left = { id, lessonId: ID, at: first.ref, mime, said: 'Good morning.', fingerprint: 'a', madeAtMs: 1, moves: false, whole: null };
  await new TakeStore().put(left);
  // The database of the tests does not keep bytes; the journeys show that a browser's does.
  const bytes = ['as far as ', 'this'].map((text) => new TextEncoder().encode(text).buffer as ArrayBuffer);
  jest.spyOn(TakeStore.prototype, 'pieces').mockResolvedValue(bytes);
  const store = await open();
  await stay();
  await until(() => whole.length === 1);
  expect(whole[0]!.cues[0]!.text).toBe('as far as this');
  expect(store.word()).toContain('A take that was cut off was kept');
  expect(await kept()).toEqual([]);
});

test('another window of the browser may not record meanwhile', async () => {
  locks.taken = true;
  const store = await open();
  expect(store.elsewhere()).toBe(true);
  expect(store.beginTake(prepared, first)).toBe(false);
  locks.taken = false;
  await store.load(ID);
  expect(store.elsewhere()).toBe(false);
  expect(store.beginTake(prepared, first)).toBe(true);
});

test('a microphone that is pulled out ends the take, and what was said is kept', async () => {
  const whole = takesAll();
  const store = await open();
  store.beginTake(prepared, first);
  piece('Good m');
  gone();
  await until(() => whole.length === 1);
  expect(whole[0]!.cues[0]!.text).toBe('Good m');
  expect(store.microphone()).toBe('off');
  expect(store.problem()).toContain('pulled out. What was said up to then is kept');
});

test('a full device is said; the server keeps what is said, and where neither does, that is said, too', async () => {
  for (const put of ['put', 'putPiece'] as const)
    jest.spyOn(TakeStore.prototype, put).mockRejectedValue(new DOMException('', 'QuotaExceededError'));
  const store = await open();
  server.reachable = false;
  store.beginTake(prepared, first);
  piece('Good morning.');
  await until(() => store.safety().lineLost);
  expect(store.safety()).toMatchObject({ waiting: 1, deviceKeeps: false });
  const whole = takesAll();
  server.reachable = true;
  await store.endTake();
  while (whole.length === 0) await stay();
  expect(whole[0]!.cues[0]!.text).toBe('Good morning.');
});

test('a take in which nobody was heard is not kept, and that is said', async () => {
  takesAll();
  const store = await open();
  store.beginTake(prepared, first);
  await store.endTake();
  await until(() => store.word() !== null);
  expect(store.word()).toBe('Nothing was heard, so no take was kept.');
  expect(await kept()).toEqual([]);
});

test('a forgotten microphone stops after half an hour, and what was said is kept', async () => {
  const whole = takesAll();
  const store = await open();
  const timers: { work: () => void; ms: number }[] = [];
  const real = window.setTimeout;
  jest
    .spyOn(window, 'setTimeout')
    .mockImplementation(((work: () => void, ms?: number) =>
      ms === LONGEST_TAKE_MS ? timers.push({ work, ms }) : real(work, ms)) as never);
  store.beginTake(prepared, first);
  piece('and on and on');
  timers[0]!.work();
  await until(() => whole.length === 1);
  expect(store.taking()).toBe('none');
  expect(store.word()).toContain('Half an hour at one step');
});
