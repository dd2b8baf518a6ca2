import 'fake-indexeddb/auto';
import { provideRouter } from '@angular/router';
import { screen } from '@testing-library/dom';
import type { RecordingDetail } from '@zeitpunkt/contract';
import { lessonWith, numbered } from '@zeitpunkt/core/testing/lessons';
import type { Take } from '@zeitpunkt/core/voice/take';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { render, textOf, until } from '../../testing/render';
import { stepOf, takeOf } from '../../testing/session';
import { type LessonStore } from '../script/gives';
import { Microphone } from './microphone';
import { Record } from './record';

const lesson = lessonWith({
  title: 'Half past at the harbour',
  beats: numbered([
    { kind: 'say', text: 'Good morning.' },
    { kind: 'say', text: 'Look at the short hand.' },
    { kind: 'say', text: 'Goodbye.' },
  ]),
});
const take = (beat: number, own: Partial<Take> = {}) => takeOf(lesson, beat, own);
const DAY = Date.UTC(2027, 10, 30, 12);
const recording = (takes: readonly Take[], own: Partial<RecordingDetail> = {}): RecordingDetail =>
  ({ takes, before: [], cutOff: [], keepDays: 365, deletesAtMs: DAY, ...own }) as RecordingDetail;

beforeEach(() => jest.spyOn(HTMLMediaElement.prototype, 'pause').mockImplementation(() => undefined));
afterEach(() => jest.restoreAllMocks());

async function open(first: RecordingDetail) {
  localStorage.clear();
  const server = new FakeServer({
    'GET /api/lessons/l1': { id: 'l1', revision: 1, lesson },
    'GET /api/lessons/l1/recording': first,
  });
  const tools = await render(Record, { id: 'l1' }, [provideRouter([])]);
  await until(() => tools.find.queryByRole('heading', { name: lesson.title }) !== null && tools.page.querySelector('ol li') !== null);
  return { ...tools, server };
}
const steps = (page: HTMLElement) => [...page.querySelectorAll('zp-take-list li')].map((row) => textOf(row));
const here = (page: HTMLElement) => textOf(page.querySelector('.words')!);

test('what is missing is said with the way there; one goes on at the first step that is not recorded', async () => {
  const { page, find } = await open(recording([take(1)]));
  await until(() => here(page) === 'Look at the short hand.');
  expect(steps(page).map((row) => /no take/.test(row))).toEqual([false, true, true]);
  expect(textOf(page)).toContain('1 of 3 steps');
  expect(textOf(page)).toContain('2 steps are not recorded yet');
  expect(find.getByRole('button', { name: /^Record(?! this)/ })).toBeTruthy();
  expect(find.queryByRole('link', { name: 'Make a video' })).toBeTruthy();
});

test('a take of words that have changed is told apart, and is not counted as recorded', async () => {
  const { page, press } = await open(recording([take(1, { said: 'Good evening.', fingerprint: 'another' }), take(2), take(3)]));
  expect(textOf(page)).toContain('2 of 3 steps');
  expect(textOf(page)).toContain('1 step changed since its take');
  await press('Go to the first');
  expect(here(page)).toBe('Good morning.');
  expect(textOf(page)).toContain('You said: “Good evening.”');
});

test('a good take is only retaken on purpose: the main press goes on to the next step, and says when there is none', async () => {
  jest.spyOn(Microphone, 'open').mockRejectedValue(new Error('not asked for'));
  const { page, press, find } = await open(recording([take(1), take(2), take(3)]));
  await press(/^3 /);
  expect(find.getByRole('button', { name: /Record the next step/ })).toBeTruthy();
  await press(/Record the next step/);
  expect(textOf(page)).toContain('This is the last step, and it is recorded.');
  expect(Microphone.open).not.toHaveBeenCalled();
});

test('a microphone that is refused is said with what to do, and nothing is recorded', async () => {
  const { page, press } = await open(recording([take(1)]));
  await until(() => here(page) === 'Look at the short hand.');
  await press(/^Record(?! this)/);
  await until(() => page.querySelector('[role="alert"], zp-failing') !== null);
  expect(textOf(page)).toContain('This page may not record here');
  expect(steps(page)).toHaveLength(3);
});

test('a deleted take can be brought back for a while, and the day on which all is deleted is written as days are', async () => {
  const { page, press } = await open(recording([take(1), take(2), take(3)], { before: [stepOf(1)] }));
  expect(textOf(page)).toContain('on 30 November 2027');
  await press('Delete this take');
  expect(textOf(page)).toContain('2 of 3 steps');
  expect(textOf(document.body)).toContain('The take is deleted; the one before it comes back.');
  await until(() => screen.queryByText('Undo') !== null);
  screen.getByText('Undo').click();
  await until(() => textOf(page).includes('3 of 3 steps'));
});

test('for how long it is kept is chosen, and what the server refuses is said', async () => {
  const { page, choose, server } = await open(recording([take(1), take(2), take(3)]));
  server.on('POST /api/lessons/l1/recording/keep', recording([take(1), take(2), take(3)], { keepDays: 30, deletesAtMs: DAY }));
  await choose(/Kept after the last take/, 'a month');
  expect(server.sent('POST /api/lessons/l1/recording/keep')).toEqual([{ keepDays: 30 }]);
  server.on('POST /api/lessons/l1/recording/keep', new Refusal('NOT_FOUND', 'There is no such lesson among yours.', 404));
  await choose(/Kept after the last take/, 'a year');
  await until(() => textOf(page).includes('There is no such lesson among yours.'));
});

test('the step at hand stays at hand when the lesson is saved meanwhile', async () => {
  const { page, press, settled, component, server } = await open(recording([take(1), take(2), take(3)]));
  server.on('POST /api/lessons/l1/draft', { revision: 2 });
  await press(/^2 /);
  const { lessons } = component as unknown as { readonly lessons: InstanceType<typeof LessonStore> };
  lessons.setSetting('wordsPerMinute', 90);
  await lessons.save();
  expect(lessons.at()!.revision).toBe(2);
  await settled();
  expect(here(page)).toBe('Look at the short hand.');
});
