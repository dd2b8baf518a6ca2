import { TestBed } from '@angular/core/testing';
import type { SavedDial } from '@zeitpunkt/contract';
import { NEW_BUILD, setTime } from '@zeitpunkt/core/stage/dial-build';
import { secondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { DialsStore } from './dials-store';

const dial = (name: string, change: Partial<SavedDial> = {}): SavedDial => ({
  id: `id-${name}`,
  name,
  version: 1,
  build: NEW_BUILD,
  problem: null,
  ...change,
});
const SAVE = 'POST /api/dials';
/** What the server says to a save. */
const saved = (body: unknown) => ({ version: (body as { version: number }).version + 1 });
const at = (hour: number) => setTime(secondOfDay(hour, 0));

let server: FakeServer;
let store: InstanceType<typeof DialsStore>;
async function start(dials: SavedDial[]): Promise<void> {
  server = new FakeServer({ 'GET /api/dials': () => dials, 'GET /api/lessons': [], [SAVE]: saved, 'POST /api/dials/order': undefined });
  store = TestBed.configureTestingModule({ providers: [DialsStore] }).inject(DialsStore);
  await jest.advanceTimersByTimeAsync(0);
}
const wait = (ms: number) => jest.advanceTimersByTimeAsync(ms);
beforeEach(() => jest.useFakeTimers());
afterEach(() => {
  TestBed.resetTestingModule();
  jest.useRealTimers();
});

test('a first visit begins with a dial; a later one with the first dial that can be read', async () => {
  await start([]);
  expect(server.sent(SAVE)).toMatchObject([{ name: 'My first dial', build: NEW_BUILD }]);
  expect(store.current()?.name).toBe('My first dial');
  TestBed.resetTestingModule();
  await start([dial('Newer', { build: null, problem: 'Made by a newer version.' }), dial('Lamp')]);
  expect(store.loading()).toBe('done');
  expect(store.current()?.name).toBe('Lamp');
  await store.open(store.dials()[0]!);
  expect(store.current()?.name).toBe('Lamp');
  expect(store.problem()).toBe('Made by a newer version.');
});

test('dials that do not come leave nothing to build on, until they come', async () => {
  await start([dial('Lamp')]);
  TestBed.resetTestingModule();
  server.reachable = false;
  store = TestBed.configureTestingModule({ providers: [DialsStore] }).inject(DialsStore);
  await wait(0);
  expect([store.loading(), store.current(), store.problem()]).toEqual(['failed', null, 'The server cannot be reached just now.']);
  server.reachable = true;
  await store.load();
  expect([store.loading(), store.current()?.name, store.problem()]).toEqual(['done', 'Lamp', null]);
});

test('changes are saved together after a pause, and a change made meanwhile is saved too', async () => {
  await start([dial('Lamp')]);
  store.change(at(3));
  store.change(at(4));
  await wait(699);
  expect(server.sent(SAVE)).toEqual([]);
  let arrive = (): void => undefined;
  server.on(SAVE, () => new Promise<object>((resolve) => (arrive = () => resolve({ version: 2 }))));
  await wait(1);
  expect(store.saving()).toBe('saving');
  store.change(at(5));
  arrive();
  await wait(0);
  expect(store.saving()).toBe('changed');
  server.on(SAVE, saved);
  await wait(700);
  expect(store.saving()).toBe('saved');
  expect(server.sent(SAVE)).toMatchObject([
    { version: 1, build: { timeSec: secondOfDay(4, 0) } },
    { version: 2, build: { timeSec: secondOfDay(5, 0) } },
  ]);
});

test('a save that fails says so and is tried again by itself', async () => {
  await start([dial('Lamp')]);
  server.reachable = false;
  store.change(at(3));
  await wait(700);
  expect([store.saving(), store.saveProblem()]).toEqual(['failed', 'The server cannot be reached just now.']);
  server.reachable = true;
  await wait(4000);
  expect([store.saving(), store.saveProblem()]).toEqual(['saved', null]);
});

test('leaving saves at once what has not been saved', async () => {
  await start([dial('Lamp')]);
  store.change(at(3));
  window.dispatchEvent(new Event('pagehide'));
  await wait(0);
  expect(server.sent(SAVE)).toMatchObject([{ build: { timeSec: secondOfDay(3, 0) } }]);
});

test('a drag of many moves is one step, one that is cancelled is none', async () => {
  await start([dial('Lamp')]);
  store.beginStep();
  for (const hour of [9, 10, 11]) store.move(at(hour));
  store.endStep();
  store.beginStep();
  store.move(at(2));
  store.cancelStep();
  expect(store.build().timeSec).toBe(secondOfDay(11, 0));
  store.undo();
  expect(store.build()).toEqual(NEW_BUILD);
  expect(store.canUndo()).toBe(false);
  store.redo();
  expect(store.build().timeSec).toBe(secondOfDay(11, 0));
});

test('a duplicate gets the next free name; an empty name is refused and the old one stays', async () => {
  await start([dial('Lamp'), dial('Lamp 2')]);
  await store.duplicate();
  expect(store.dials().map(({ name }) => name)).toEqual(['Lamp', 'Lamp 2', 'Lamp 3']);
  store.rename('   ');
  expect([store.current()?.name, store.problem()]).toEqual(['Lamp 3', 'A dial needs a name.']);
});

test('an order that the server refuses goes back to what it was', async () => {
  await start([dial('Lamp'), dial('Tide')]);
  server.on('POST /api/dials/order', new Refusal('NOT_FOUND', 'There is no such dial among yours.'));
  await store.shift('id-Tide', -1);
  expect(store.dials().map(({ name }) => name)).toEqual(['Lamp', 'Tide']);
  expect(store.problem()).toBe('There is no such dial among yours.');
  await store.shift('id-Lamp', -1);
  expect(server.sent('POST /api/dials/order')).toHaveLength(1); // the first one goes no higher
});

test('the last dial deleted leaves a new one, and the deleted one can be brought back', async () => {
  const lamp = dial('Lamp');
  await start([lamp]);
  server.on('POST /api/dials/id-Lamp/delete', undefined);
  server.on('POST /api/dials/id-Lamp/restore', undefined);
  server.on('GET /api/dials', [lamp]);
  await store.remove(lamp);
  expect(store.current()?.name).toBe('New dial');
  expect(store.word()).toEqual({ text: '“Lamp” is deleted.', deleted: lamp });
  await store.bringBack(lamp);
  expect([store.current()?.name, store.word()]).toEqual(['Lamp', null]);
});

describe('a dial that was changed or deleted elsewhere', () => {
  const refusal = new Refusal('DIAL_CHANGED', '“Lamp” was changed meanwhile, from another window.');
  const theirs = { ...dial('Lamp', { version: 5 }), build: at(9)(NEW_BUILD) };
  beforeEach(async () => {
    await start([dial('Lamp'), dial('Tide')]);
    store.change(at(3));
    server.on(SAVE, refusal);
    await wait(700);
    server.on('GET /api/dials', [theirs, dial('Tide')]);
  });

  test('is told, and nothing more is sent over it', async () => {
    expect([store.saving(), store.saveProblem()]).toEqual(['overtaken', refusal.detail]);
    store.change(at(4));
    await wait(60_000);
    expect(server.sent(SAVE)).toHaveLength(1);
    await store.open(store.dials()[1]!); // what is not saved is not left
    expect([store.current()?.name, store.problem()]).toEqual(['Lamp', expect.stringContaining('“Lamp” is not saved yet')]);
  });

  test('is kept beside what was built here', async () => {
    server.on(SAVE, saved);
    await store.keepBoth();
    expect(store.dials().map(({ name }) => name)).toEqual(['Lamp', 'Tide', 'Lamp 2']);
    expect([store.current()?.name, store.build().timeSec, store.saving()]).toEqual(['Lamp 2', secondOfDay(3, 0), 'saved']);
    expect(store.dials()[0]!.build!.timeSec).toBe(secondOfDay(9, 0));
  });

  test('can be gone on with instead', async () => {
    await store.takeOther();
    expect([store.current(), store.build().timeSec, store.saving()]).toEqual([theirs, secondOfDay(9, 0), 'saved']);
    server.on(SAVE, saved);
    store.change(at(10));
    await wait(700);
    expect(server.sent(SAVE).at(-1)).toMatchObject({ version: 5 });
  });
});

test('one save is on its way at a time: what is changed meanwhile goes after it, on the version it made', async () => {
  await start([dial('Lamp')]);
  const arrivals: (() => void)[] = [];
  let version = 1;
  server.on(SAVE, () => new Promise<object>((resolve) => arrivals.push(() => resolve({ version: (version += 1) }))));
  store.change(at(3));
  await wait(700);
  for (const hour of [4, 5]) {
    store.change(at(hour));
    await wait(2000); // the line is slow
  }
  expect(server.sent(SAVE)).toHaveLength(1);
  arrivals[0]!();
  await wait(0);
  expect(server.sent(SAVE)).toMatchObject([{ version: 1 }, { version: 2, build: { timeSec: secondOfDay(5, 0) } }]);
  arrivals[1]!();
  await wait(0);
  expect([store.saving(), store.current()?.version]).toEqual(['saved', 3]);
});
