import { TestBed } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import { fireEvent, screen } from '@testing-library/dom';
import { provideState, provideStore } from '@ngrx/store';
import { draftLesson } from '@zeitpunkt/core/draft/draft';
import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import type { PaperPage } from '@zeitpunkt/core/paper/paper-page';
import type { PaperWish } from '@zeitpunkt/core/paper/paper-wish';
import type { Item } from '@zeitpunkt/core/question-kinds/registry';
import { dialLetter } from '@zeitpunkt/core/scene/describe-stage';
import { NEW_PLAN } from '@zeitpunkt/core/series/plan';
import { authFeature } from '../../state/auth';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { paperWorkers, type PaperWorkerStandIn } from '../../testing/paper-workers';
import { render, textOf, until } from '../../testing/render';
import * as downloads from '../../shared/download';
import { PaperPlace } from './paper-place';

jest.mock('../../shared/download', () => ({ ...jest.requireActual('../../shared/download'), download: jest.fn() }));

const LESSON = draftLesson({ rung: 'half-past', minutes: 12, delivery: 'live', settings: DEFAULT_SETTINGS, seed: 1 });
const PUPILS = ['Anouk', 'Bashir', 'Ceri'].map((name, index) => ({ id: `p${index}`, name, reference: null, leftAtMs: null }));
const LEFT = { id: 'p9', name: 'Dov', reference: null, leftAtMs: 5 };
const KEEP = 'POST /api/sheets';
const SHEETS = 'GET /api/lessons/l1/sheets';
const kept = { id: 's1', code: 'K7TQ', questions: 3, versions: 1, madeAtMs: Date.now(), classId: 'c1', sessions: [] };

async function open(inputs: object = { id: 'l1' }, plan = NEW_PLAN) {
  localStorage.clear();
  paperWorkers.length = 0;
  jest.mocked(downloads.download).mockClear();
  const server = new FakeServer({
    'GET /api/lessons': [{ id: 'l1', title: LESSON.title, facts: {}, archivedAtMs: null }],
    'GET /api/classes': [
      { id: 'c1', name: 'Terns', pupilCount: 3 },
      { id: 'c2', name: 'Gulls', pupilCount: 0 },
    ],
    'GET /api/lessons/l1': { id: 'l1', revision: 3, lesson: LESSON },
    'GET /api/classes/c1': { id: 'c1', name: 'Terns', pupils: [...PUPILS, LEFT] },
    'GET /api/classes/c1/plan': { revision: 4, plan },
    [SHEETS]: { sheets: [] },
    [KEEP]: () => {
      server.on(SHEETS, { sheets: [kept] });
      return { id: 's1', code: 'K7TQ' };
    },
  });
  const shown = await render(PaperPlace, inputs as Record<string, unknown>, [provideRouter([]), provideStore(), provideState(authFeature)]);
  await until(() => shown.page.querySelector('form') !== null);
  const tick = async (name: string) => {
    fireEvent.click(shown.find.getByRole('radio', { name }));
    await shown.settled();
  };
  return {
    ...shown,
    server,
    tick,
    versions: (count: number) => tick(String(count)),
    save: () => shown.find.queryByRole('button', { name: 'Save as PDF' }),
  };
}

/** Whatever is due by now has come to its end. */
const turn = () => new Promise((resolve) => setTimeout(resolve));

/** What was asked of workers last, with the worker. */
const lastAsked = (type: string) =>
  paperWorkers.flatMap((worker) => worker.asked.map((asked) => ({ worker, asked }))).findLast(({ asked }) => asked.type === type);
const lookedAt = () => {
  const last = lastAsked('look')?.asked;
  return last?.type === 'look' ? (last.order.wish as Extract<PaperWish, { kind: 'sheet' }>) : null;
};
const makingOf = () => {
  const { worker, asked } = lastAsked('make')!;
  if (asked.type !== 'make') throw new Error('asked for something else');
  const finish = () => worker.answer({ type: 'made', number: asked.number, file: new Blob(['%PDF']), pages: 2, missing: [] });
  return { wish: asked.order.wish as Extract<PaperWish, { kind: 'sheet' }>, title: asked.title, finish };
};
function draw(): PaperWorkerStandIn {
  const { worker, asked } = lastAsked('draw')!;
  if (asked.type !== 'draw') throw new Error('asked for something else');
  const { items, count } = asked.wish;
  const versions = Array.from({ length: count }, (_, version) => ({
    letter: dialLetter(version),
    items: items.map((item) => ({ ...item, id: `${item.id}-${version}` }) as Item),
  }));
  worker.answer({ type: 'drawn', number: asked.number, versions });
  return worker;
}

test('versions are drawn beside the page; then each pupil of the class has a copy of one, and those who left have none', async () => {
  const { tick, versions, save, press, find, page: place } = await open();
  await tick('each name');
  expect(textOf(place)).toContain('A copy for each of the 3 pupils of Terns.');
  await versions(2);
  expect(textOf(place)).toContain('The versions are being drawn …');
  expect(save()).toBeNull();
  const worker = draw();
  expect(worker.isOver).toBe(true);
  await until(() => lookedAt()?.versions.length === 2); // there is one without versions, too, from before they came
  expect(lookedAt()!.copies).toEqual([
    { pupil: 'Anouk', letter: 'A' },
    { pupil: 'Bashir', letter: 'B' },
  ]); // one of each is looked at
  const { worker: maker, asked } = lastAsked('look')!;
  const page = (title: string): PaperPage => ({ title, width: 595, height: 842, nodes: [] });
  const pages = ['A, Anouk', 'A, Anouk', 'B, Bashir', 'Key: A', 'Key: B'].map(page);
  maker.answer({ type: 'pages', number: asked.number, pages, starts: [0, 2, 3, 4], hasMore: false, missing: [] });
  await until(() => textOf(place).includes('7 pages'));
  expect(textOf(place)).toContain('3 sheets and 2 keys');
  expect(textOf(place)).toContain('Anouk’s sheet, the first of 3');
  await press('Key');
  expect(find.getByRole('img', { name: 'Page 4: Key: A' })).toBeTruthy();
  expect(save()).not.toBeNull();
});

test('what was chosen before is not drawn to its end, and a drawing that fails says so', async () => {
  const { versions, find } = await open();
  await versions(2);
  const first = lastAsked('draw')!.worker;
  await versions(3);
  expect(first.isOver).toBe(true);
  const { worker, asked } = lastAsked('draw')!;
  expect(asked).toMatchObject({ wish: { count: 3, items: LESSON.items } });
  worker.answer({ type: 'failed', number: asked.number, problem: { code: null, sentence: 'x', status: 0, params: {} } });
  await until(() => find.queryByRole('alert') !== null);
  expect(textOf(find.getByRole('alert'))).toContain('The versions could not be drawn');
});

test('a sheet is kept with the questions that were chosen before its file is made, and the same one only once', async () => {
  const { tick, press, server, find, page } = await open();
  const [, ...others] = LESSON.items;
  fireEvent.click(find.getAllByRole('checkbox', { name: /^1\. / })[0]!);
  await until(() => lookedAt()?.versions[0]?.items.length === others.length);
  await press('Save as PDF');
  await until(() => lastAsked('make') !== undefined);
  const sent = server.sent(KEEP)[0] as { file: { items: Item[]; beats: object[] }; versions: number; classId: null; copies: object[] };
  expect(sent).toMatchObject({ versions: 1, classId: null, copies: [], lessonId: 'l1' });
  expect(sent.file.items.map(({ id }) => id)).toEqual(others.map(({ id }) => id));
  expect(sent.file.beats).toHaveLength(2 * others.length);
  const { wish, title, finish } = makingOf();
  expect([wish.code, title]).toEqual(['K7TQ', `${LESSON.title} K7TQ`]);
  finish();
  await until(() => textOf(page).includes('Saved: 2 pages, 1 kB.'));
  expect(downloads.download).toHaveBeenCalledTimes(1);

  await press('Save as PDF');
  await until(() => jest.mocked(downloads.download).mock.calls.length === 1 && lastAsked('make')!.asked.number > 2);
  makingOf().finish();
  expect(server.sent(KEEP)).toHaveLength(1);
  await tick('each name');
  await until(() => lookedAt()?.copies[0]?.pupil === 'Anouk');
  await press('Save as PDF');
  await until(() => server.sent(KEEP).length === 2);
  expect(server.sent(KEEP)[1]).toMatchObject({ classId: 'c1', copies: PUPILS.map(({ id }) => ({ pupilId: id, version: 0 })) });
});

test('whatever comes late for a lesson or a class that was chosen before is not printed', async () => {
  const { server, setInputs, find, settled, choose, tick, page } = await open();
  let late = () => {};
  server.on('GET /api/lessons/l2', () => new Promise((resolve) => (late = () => resolve({ id: 'l2', revision: 1, lesson: { ...LESSON, items: [] } })))); // prettier-ignore
  server.on('GET /api/lessons/l2/sheets', { sheets: [] });
  await setInputs({ id: 'l2' });
  await setInputs({ id: 'l1' });
  await until(() => lookedAt() !== null);
  late();
  await turn();
  await settled();
  expect(find.getByText(`${LESSON.items.length} of ${LESSON.items.length} questions`)).toBeTruthy();
  let lateClass = () => {};
  server.on('GET /api/classes/c2', () => new Promise((resolve) => (lateClass = () => resolve({ id: 'c2', name: 'Gulls', pupils: [] }))));
  server.on('GET /api/classes/c2/plan', { revision: 1, plan: NEW_PLAN });
  await choose('Class', 'Gulls');
  await choose('Class', 'Terns');
  await tick('each name');
  lateClass();
  await turn();
  await settled();
  expect(textOf(page)).toContain('the 3 pupils of Terns');
});

test('a sheet that cannot be kept is not printed, for its answers could never be typed in', async () => {
  const { press, server, find } = await open();
  server.on(KEEP, new Refusal('SHEET_UNREADABLE', 'Two questions of the sheet carry the id “q1”.', 400));
  await until(() => lookedAt() !== null);
  await press('Save as PDF');
  await until(() => find.queryByRole('alert') !== null);
  expect(textOf(find.getByRole('alert'))).toBe('Two questions of the sheet carry the id “q1”.');
  expect(lastAsked('make')).toBeUndefined();
});

test('a sheet that was printed before leads to its answers, is printed again as it was, and is deleted only when that is confirmed', async () => {
  const { press, server, find, setInputs } = await open();
  server.on(SHEETS, { sheets: [kept] });
  await setInputs({ of: 'c1' });
  await until(() => find.queryByRole('button', { name: /^More for sheet/ }) !== null);
  server.on('POST /api/sheets/s1/answers', { sessionId: 'e1' });
  const went = jest.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
  await press(/^Type answers in of sheet/);
  await until(() => went.mock.calls.length > 0);
  expect(went).toHaveBeenCalledWith(['/review', 'e1', 'enter']);

  const items = [...LESSON.items, ...LESSON.items.map((item) => ({ ...item, id: `${item.id}-b` }))];
  server.on('GET /api/sheets/s1', {
    id: 's1',
    code: 'K7TQ',
    file: { ...LESSON, items },
    versions: 2,
    copies: [{ pupil: 'Anouk', version: 1 }],
  });
  await press(/^More for sheet/);
  fireEvent.click(screen.getByRole('menuitem', { name: 'Print it again' }));
  await until(() => lastAsked('make') !== undefined);
  const { wish } = makingOf();
  expect(wish.copies).toEqual([{ pupil: 'Anouk', letter: 'B' }]);
  expect(wish.versions.map((one) => one.items.length)).toEqual([LESSON.items.length, LESSON.items.length]);
  expect(wish.versions[1]!.items[0]!.id).toBe(`${LESSON.items[0]!.id}-b`);

  const remove = 'POST /api/sheets/s1/delete';
  server.on(remove, undefined);
  await press(/^More for sheet/);
  fireEvent.click(screen.getByRole('menuitem', { name: /^Delete it/ }));
  await until(() => screen.queryByRole('button', { name: 'Delete the sheet' }) !== null);
  expect(server.sent(remove)).toHaveLength(0);
  server.on(SHEETS, { sheets: [] });
  fireEvent.click(screen.getByRole('button', { name: 'Delete the sheet' }));
  await until(() => server.sent(remove).length === 1);
  await until(() => find.queryByRole('button', { name: /^More for sheet/ }) === null);
});

test('the code in the corner of a sheet leads to its answers: of its own class, else of the one that is chosen', async () => {
  const { press, choose, type, server, find } = await open({});
  const went = jest.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
  server.on('GET /api/sheets/by-code/K7TQ', { id: 's1', classId: null });
  server.on('POST /api/sheets/s1/answers', { sessionId: 'e1' });
  const field = find.getByLabelText<HTMLInputElement>('Code on the sheet');
  await type(field, ' K7TQ ');
  await press('Type answers in');
  await until(() => went.mock.calls.length > 0);
  expect(server.sent('POST /api/sheets/s1/answers')).toEqual([{ classId: 'c1' }]);
  expect(went).toHaveBeenCalledWith(['/review', 'e1', 'enter']);
  await choose('Class', 'none');
  await press('Type answers in');
  await until(() => find.queryByRole('alert') !== null);
  expect(textOf(find.getByRole('alert'))).toContain('choose the class that answered it');
  expect(went).toHaveBeenCalledTimes(1);
});

test('without a lesson there is what every class uses; a paper that lacks something says what', async () => {
  const { press, page, save } = await open({});
  expect(save()).not.toBeNull();
  await press('Questions');
  expect([textOf(page).includes('Choose a lesson.'), save()]).toEqual([true, null]);
  await press('Daily cards');
  expect(textOf(page)).toContain('This class has no daily cards. Begin them on the ladder.');
  await press('Chart');
  expect(save()).not.toBeNull();
});
