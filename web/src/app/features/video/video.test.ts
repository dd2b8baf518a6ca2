import { provideRouter } from '@angular/router';
import { lessonWith, numbered } from '@zeitpunkt/core/testing/lessons';
import * as downloads from '../../shared/download';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { render, textOf, until } from '../../testing/render';
import { takeOf } from '../../testing/session';
import type { FilmOrder, FromFilmWorker, ToFilmWorker } from './film-messages';
import { Video } from './video';

/** Stands for the worker that makes films: what it is told is kept, and it says what the test has it say. */
const worker = {
  told: [] as ToFilmWorker[],
  onmessage: null as ((event: { data: FromFilmWorker }) => void) | null,
  postMessage: (message: ToFilmWorker) => worker.told.push(message),
  terminate: jest.fn(),
  says: (data: FromFilmWorker) => worker.onmessage?.({ data }),
};
jest.mock('./font-files', () => ({ fontFiles: () => [{ url: '/andika.woff2', weight: '400', unicodeRange: 'U+0-FF' }] }));
jest.mock('./start-film', () => ({ startFilm: () => worker }));
jest.mock('../../shared/download', () => ({ ...jest.requireActual('../../shared/download'), download: jest.fn() }));

const lesson = lessonWith({
  title: 'Half past at the harbour',
  items: [{ id: 'q1', kind: 'read-dial', timeSec: 27_000 }],
  beats: numbered([
    { kind: 'say', text: 'Good morning.' },
    { kind: 'worked-example', timeSec: 12_600 },
    { kind: 'ask', itemId: 'q1', text: '' },
    { kind: 'think', itemId: 'q1', seconds: 5, text: '' },
    { kind: 'answer', itemId: 'q1' },
  ]),
});
const take = takeOf(lesson, 1);

beforeEach(() => {
  worker.told = [];
  jest.mocked(downloads.download).mockClear();
  Object.assign(window, { VideoEncoder: Object, OffscreenCanvas: Object });
});
afterEach(() => {
  for (const name of ['VideoEncoder', 'OffscreenCanvas', 'showSaveFilePicker']) Reflect.deleteProperty(window, name);
});

async function open(recording: unknown = { takes: [take] }) {
  new FakeServer({ 'GET /api/lessons/l1': { id: 'l1', revision: 1, lesson }, 'GET /api/lessons/l1/recording': recording });
  const tools = await render(Video, { id: 'l1' }, [provideRouter([])]);
  const say = async (message: FromFilmWorker) => {
    worker.says(message);
    await tools.settled();
  };
  return { ...tools, say };
}
const canMake = {
  type: 'formats',
  formats: [
    { format: 'webm', sound: 'opus' },
    { format: 'mp4', sound: 'aac' },
  ],
} as const;
const order = () => worker.told.flatMap((one) => (one.type === 'make' ? [one.order] : []))[0] as FilmOrder;

test('a browser that cannot make films says so and leads to own pace instead', async () => {
  Reflect.deleteProperty(window, 'VideoEncoder');
  const { find, page } = await open();
  expect(worker.told).toEqual([]);
  expect(find.getByRole('link', { name: 'Give at own pace' })).toBeTruthy();
  expect(find.queryByRole('button', { name: /^Make/ })).toBeNull();
  expect(textOf(page)).toMatch(/cannot/i);
});

test('how it is made is chosen before it is made, and the worker gets all of it', async () => {
  const { find, press, say } = await open();
  await say(canMake);
  expect(worker.told).toEqual([{ type: 'formats', height: 720 }]);
  find.getByRole('radio', { name: /1080/ }).click();
  find
    .getAllByRole('radio', { name: /count|clock|think/i })
    .at(-1)!
    .click();
  await say(canMake);
  expect(worker.told.at(-1)).toEqual({ type: 'formats', height: 1080 });
  await press(/^Make/);
  await until(() => order() !== undefined);
  expect(order()).toMatchObject({ lessonId: 'l1', height: 1080, burnsIn: true, takes: [{ id: 't1' }], file: null, format: 'mp4' });
  expect(order().fonts).toHaveLength(1);
});

test('it says how far it is and about how long it still takes, and is given up at a press', async () => {
  const { page, press, say, find } = await open();
  await say(canMake);
  await press(/^Make/);
  await until(() => find.queryByRole('progressbar') !== null);
  expect(find.queryByRole('button', { name: /^Make/ })).toBeNull();
  await say({ type: 'progress', doneMs: 10_000, totalMs: 40_000 });
  expect(textOf(page)).toContain('25');
  expect(find.getByRole('progressbar').getAttribute('aria-valuenow')).toBe('25');
  await press('Cancel');
  expect(worker.told.at(-1)).toEqual({ type: 'cancel' });
  await say({ type: 'cancelled' });
  expect(find.getByRole('button', { name: /^Make/ })).toBeTruthy();
});

test('what stands in the way is said with what to do, and it can be made again', async () => {
  const { page, press, say, find } = await open();
  await say(canMake);
  await press(/^Make/);
  await until(() => find.queryByRole('progressbar') !== null);
  const full = 'The disk is full: nothing of the film was kept. Make room, or choose a smaller picture.';
  await say({ type: 'failed', problem: { code: 'FILM_DISK_FULL', sentence: full, status: 0, params: {} } });
  expect(textOf(page)).toContain(full);
  expect(find.getByRole('button', { name: /^Make/ })).toBeTruthy();
  await say({ type: 'failed', problem: { code: null, sentence: 'x is undefined', status: 0, params: {} } });
  expect(textOf(page)).not.toContain('x is undefined');
});

test('who gives up choosing a file makes none; a browser that may not ask keeps one of its own', async () => {
  const { press, say, find } = await open();
  await say(canMake);
  Object.assign(window, { showSaveFilePicker: () => Promise.reject(new DOMException('', 'AbortError')) });
  await press(/^Make/);
  expect(find.queryByRole('progressbar')).toBeNull();
  Object.assign(window, { showSaveFilePicker: () => Promise.reject(new DOMException('', 'SecurityError')) });
  await press(/^Make/);
  await until(() => order() !== undefined);
  expect(order().file).toBeNull();
});

test('chapters are the parts of the lesson with their dials; captions and chapters go out as files of their own', async () => {
  const { page, press, say } = await open();
  await say(canMake);
  const chapters = [...page.querySelectorAll('.chapters li')];
  expect(chapters.length).toBeGreaterThanOrEqual(2);
  expect(chapters.some((one) => one.querySelector('zp-dial'))).toBe(true);
  expect(textOf(page)).toMatch(/\d+ steps? .*(not|silent|without)/i);
  await press(/captions/i);
  await press(/chapters/i);
  expect(jest.mocked(downloads.download).mock.calls.map(([, name]) => name)).toEqual([
    'Half-past-at-the-harbour-captions.vtt',
    'Half-past-at-the-harbour-chapters.vtt',
  ]);
});

test('a recording that cannot be fetched says so', async () => {
  const { page } = await open(new Refusal('LESSON_UNREADABLE', 'The recording cannot be read.', 422));
  await until(() => textOf(page).includes('The recording cannot be read.'));
});
