import { TestBed } from '@angular/core/testing';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { sessionDetail } from '../../testing/session';
import { moveBeat, removeBeat, writeText } from '@zeitpunkt/core/edit/edit';
import { LessonStore } from './lesson-store';

const { lesson } = sessionDetail();
const SAVE = 'POST /api/lessons/l1/draft';
const saved = (body: unknown) => ({ revision: (body as { revision: number }).revision + 1 });
const wait = (ms: number) => jest.advanceTimersByTimeAsync(ms);
let server: FakeServer;
let store: InstanceType<typeof LessonStore>;

beforeEach(async () => {
  localStorage.clear();
  jest.useFakeTimers();
  server = new FakeServer({ 'GET /api/lessons/l1': { id: 'l1', revision: 3, lesson }, [SAVE]: saved });
  store = TestBed.configureTestingModule({ providers: [LessonStore] }).inject(LessonStore);
  await store.load('l1');
});
afterEach(() => {
  TestBed.resetTestingModule();
  jest.useRealTimers();
});

test('what is changed is saved on the revision it was made to, in steps that can be undone', async () => {
  store.write('title', '  The lamp is lit ');
  store.setSetting('readingOrder', 'minute-first');
  await wait(700);
  expect(server.sent(SAVE)).toMatchObject([
    { revision: 3, lesson: { title: 'The lamp is lit', settings: { readingOrder: 'minute-first' }, beats: lesson.beats } },
  ]);
  store.undo();
  await wait(700);
  expect(server.sent(SAVE)[1]).toMatchObject({ revision: 4, lesson: { settings: { readingOrder: 'hour-first' } } });
  expect([store.saving(), store.at()?.revision]).toEqual(['saved', 5]);
});

test('a change after which the script would be none is refused with a sentence, and nothing is saved', async () => {
  store.edit(moveBeat('b3', -1)); // the answer before its question
  await wait(700);
  expect(store.problem()).toContain('comes before the ask beat');
  expect([server.sent(SAVE), store.lesson()]).toEqual([[], lesson]);
  store.edit(removeBeat('b1'));
  await wait(700);
  expect([store.problem(), store.lesson()!.beats.length]).toEqual([null, 3]);
});

test('words that are typed are seen letter by letter, one step and one save together; a page that is left sends them at once', async () => {
  const typed = () => (store.lesson()!.beats[0] as { text: string }).text;
  for (const text of ['Hello.', 'Hello. L', 'Hello. Lo', 'Hello. Look.']) {
    store.type(writeText('b1', text));
    expect(typed()).toBe(text);
    await wait(100);
  }
  expect(server.sent(SAVE)).toEqual([]);
  window.dispatchEvent(new Event('pagehide'));
  await wait(0);
  expect(server.sent(SAVE)).toMatchObject([{ lesson: { beats: [{ text: 'Hello. Look.' }, {}, {}, {}] } }]);
  await wait(2000);
  store.undo();
  expect(typed()).toBe('Hello.');
  store.type(writeText('b1', 'Hello. Again.'));
  store.edit(removeBeat('b4')); // ends what was being typed
  store.undo();
  expect(typed()).toBe('Hello. Again.');
});

test('a device that keeps nothing holds nothing up: what is typed is saved on the server', async () => {
  const full = () => {
    throw new DOMException('The store is full.', 'QuotaExceededError');
  };
  const kept = [
    jest.spyOn(Storage.prototype, 'setItem'),
    jest.spyOn(Storage.prototype, 'getItem'),
    jest.spyOn(Storage.prototype, 'removeItem'),
  ];
  kept.forEach((one) => one.mockImplementation(full));
  try {
    await store.load('l1');
    store.type(writeText('b1', 'Hello. Look.'));
    await wait(2000);
    expect(server.sent(SAVE)).toMatchObject([{ lesson: { beats: [{ text: 'Hello. Look.' }, {}, {}, {}] } }]);
    expect([store.saving(), store.problem()]).toEqual(['saved', null]);
  } finally {
    kept.forEach((one) => one.mockRestore());
  }
});

test('nothing is saved where nothing changed, and a lesson keeps a title', async () => {
  store.write('title', lesson.title);
  store.setMinutes(lesson.targetMinutes);
  store.write('goal', '   ');
  await wait(5000);
  expect([server.sent(SAVE), store.problem()]).toEqual([[], 'A lesson needs a goal.']);
});

test('a lesson changed in another window is not overwritten unless that is wanted', async () => {
  server.on(SAVE, new Refusal('LESSON_CHANGED', '“The lamp” was changed meanwhile, from another window. Nothing was overwritten.'));
  store.setMinutes(30);
  await wait(700);
  expect(store.saving()).toBe('overtaken');
  const theirs = { ...lesson, title: 'Theirs' };
  server.on('GET /api/lessons/l1', { id: 'l1', revision: 9, lesson: theirs });
  server.on(SAVE, saved);
  await store.keepMine();
  expect(server.sent(SAVE).at(-1)).toMatchObject({ revision: 9, lesson: { targetMinutes: 30, title: lesson.title } });
  expect(store.saving()).toBe('saved');
  await store.takeOther();
  expect([store.lesson()?.title, store.canUndo()]).toEqual(['Theirs', false]);
});

test('what was left unsaved and meets a lesson that was changed elsewhere is lost on neither side: the teacher chooses', async () => {
  const mine = { ...lesson, title: 'Mine' };
  localStorage.setItem('zeitpunkt-unsaved-l1', JSON.stringify({ id: 'l1', revision: 3, lesson: mine }));
  server.on('GET /api/lessons/l1', { id: 'l1', revision: 4, lesson: { ...lesson, title: 'Theirs' } });
  server.on(SAVE, new Refusal('LESSON_CHANGED', '“The lamp” was changed meanwhile, from another window. Nothing was overwritten.'));
  await store.load('l1');
  expect([store.lesson()?.title, store.saving(), store.saveProblem()]).toEqual([
    'Mine',
    'overtaken',
    expect.stringContaining('changed meanwhile'),
  ]);
  await wait(5000);
  expect(server.sent(SAVE)).toHaveLength(1);
  await store.takeOther();
  expect([store.lesson()?.title, store.saving(), localStorage.getItem('zeitpunkt-unsaved-l1')]).toEqual(['Theirs', 'saved', null]);
});

test('what was typed a moment before the script is left without a line is brought back when it is opened again', async () => {
  server.reachable = false;
  store.type(writeText('b1', 'Hello. Look at the lamp.'));
  TestBed.resetTestingModule(); // the place is left
  await wait(5000);
  server.reachable = true;
  const again = TestBed.configureTestingModule({ providers: [LessonStore] }).inject(LessonStore);
  await again.load('l1');
  expect(server.sent(SAVE).at(-1)).toMatchObject({ revision: 3, lesson: { beats: [{ text: 'Hello. Look at the lamp.' }, {}, {}, {}] } });
  expect(localStorage.getItem('zeitpunkt-unsaved-l1')).toBeNull();
});
