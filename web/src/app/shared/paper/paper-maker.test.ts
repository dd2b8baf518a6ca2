import { TestBed } from '@angular/core/testing';
import type { PaperPage } from '@zeitpunkt/core/paper/paper-page';
import { paperWorkers } from '../../testing/paper-workers';
import { PaperMaker } from './paper-maker';

const WISH = { kind: 'zones', tongue: 'en' } as const;
const page = (title: string): PaperPage => ({ title, width: 595, height: 842, nodes: [] });
const worker = () => paperWorkers.at(-1)!;
const pages = (number: number, title: string) =>
  worker().answer({ type: 'pages', number, pages: [page(title)], starts: [0], hasMore: false, missing: [] });

let maker: PaperMaker;
beforeEach(() => {
  localStorage.clear();
  paperWorkers.length = 0;
  TestBed.configureTestingModule({ providers: [PaperMaker] });
  maker = TestBed.inject(PaperMaker);
});

test('pages that were asked for before something was changed are not shown', () => {
  maker.look(WISH);
  maker.look({ ...WISH, tongue: 'de' });
  expect(worker().asked.map(({ number }) => number)).toEqual([1, 2]);
  pages(1, 'before');
  expect(maker.pages()).toEqual([]);
  pages(2, 'now');
  expect(maker.pages().map(({ title }) => title)).toEqual(['now']);
  maker.look(null);
  expect(maker.pages()).toEqual([]);
});

test('a file that is cancelled is not given out, its worker is over, and the next is made by another', async () => {
  const first = maker.make(WISH, 'Zones');
  worker().answer({ type: 'progress', number: 1, done: 3, of: 12 });
  expect(maker.making()).toEqual({ at: 'on', done: 3, of: 12 });
  maker.look(WISH); // what is looked at waits until the file is there
  expect(worker().asked).toHaveLength(1);
  const [before] = paperWorkers;
  maker.cancel();
  expect(await first).toBeNull();
  expect([before!.isOver, maker.making().at]).toEqual([true, 'not']);
  const second = maker.make(WISH, 'Zones');
  expect(paperWorkers).toHaveLength(2);
  const file = new Blob(['%PDF']);
  worker().answer({ type: 'made', number: 2, file, pages: 4, missing: ['Ω'] });
  expect(await second).toBe(file);
  expect([maker.making(), maker.missing()]).toEqual([{ at: 'made', pages: 4, bytes: 4 }, ['Ω']]);
});

test('what goes wrong is said, and a worker that cannot be fetched too', async () => {
  const first = maker.make(WISH, 'Zones');
  worker().answer({
    type: 'failed',
    number: 1,
    problem: { code: 'PAPER_LETTERS', sentence: 'The letters for this page cannot be fetched just now.', status: 0, params: {} },
  });
  expect(await first).toBeNull();
  expect(maker.making()).toMatchObject({ at: 'failed', sentence: expect.stringContaining('letters') });
  const second = maker.make(WISH, 'Zones');
  worker().dispatchEvent(new Event('error'));
  expect(await second).toBeNull();
  expect(maker.making()).toMatchObject({ at: 'failed', sentence: expect.stringContaining('try again') });
  // The one that is broken would hear nothing.
  void maker.make(WISH, 'Zones');
  expect(paperWorkers.map(({ isOver }) => isOver)).toEqual([true, false]);
});

test('size and print are kept on the device; what stands there and is none is not taken', () => {
  maker.setHabit({ size: 'letter', large: true, inColour: true });
  const again = () => TestBed.runInInjectionContext(() => new PaperMaker()).habit();
  expect(again()).toEqual({ size: 'letter', large: true, inColour: true });
  localStorage.setItem('zeitpunkt-paper', '{"size":"napkin","large":"yes"}');
  expect(again()).toEqual({ size: 'a4', large: false, inColour: false });
  localStorage.setItem('zeitpunkt-paper', '{');
  expect(again()).toEqual({ size: 'a4', large: false, inColour: false });
});
