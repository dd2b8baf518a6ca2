import { provideRouter, Router } from '@angular/router';
import { TestBed } from '@angular/core/testing';
import { fireEvent } from '@testing-library/dom';
import { provideState, provideStore } from '@ngrx/store';
import { authFeature } from '../../state/auth';
import { NEW_PLAN } from '@zeitpunkt/core';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { render, until } from '../../testing/render';
import { Ladder } from './ladder';

const lesson = {
  id: 'l1',
  revision: 1,
  title: 'Half past at the harbour',
  facts: { goal: 'Read half past.', rung: 'half-past', targetMinutes: 20, plannedSec: 292, beatCount: 15, questionCount: 3 },
  problem: null,
  archivedAtMs: null,
};
const session = {
  lessonId: 'l1',
  classId: 'c1',
  title: lesson.title,
  className: 'Terns',
  createdAtMs: 0,
  endedAtMs: null,
  participantCount: 24,
  responseCount: 70,
};
const START = 'POST /api/sessions';

let server: FakeServer;
async function open(sessions: object[] = [], lessons: object[] = [lesson]) {
  server.on('GET /api/sessions', sessions);
  server.on('GET /api/lessons', lessons);
  const screen = await render(Ladder, {}, [provideRouter([]), provideStore(), provideState(authFeature)]);
  await new Promise((resolve) => setTimeout(resolve));
  await screen.settled();
  const navigate = jest.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
  return { ...screen, navigate };
}
const PLAN = 'GET /api/classes/c1/plan';
beforeEach(
  () =>
    (server = new FakeServer({
      'GET /api/clock': { leap: null },
      'GET /api/classes': [{ id: 'c1', name: 'Terns', pupilCount: 26 }],
      [PLAN]: { revision: 0, plan: NEW_PLAN },
      [START]: {},
      'GET /api/classes/c1/mastery': {
        rungs: [{ rung: 'half-past', words: { sure: 14, nearly: 8, partly: 0, 'not-yet': 0, 'too-few': 4 } }],
      },
      'GET /api/sessions/s1': { live: { responses: [] } },
      'GET /api/sessions/s2': { live: { responses: [] } },
    })),
);

test('a clock that leapt is told with both days, and a teacher says that it is right', async () => {
  server.on('GET /api/clock', { leap: { fromMs: Date.UTC(2026, 10, 3, 12), toMs: Date.UTC(2027, 11, 8, 12) } });
  server.on('POST /api/clock/confirm', { leap: null });
  const { find, press } = await open();
  expect(find.getByRole('alert').textContent).toMatch(/8 December 2027.*3 November 2026.*Nothing has been deleted/s);
  await press('Yes, this is the day');
  expect(find.queryByRole('alert')).toBeNull();
  expect(server.sent('POST /api/clock/confirm')).toHaveLength(1);
});

test('a lesson is drafted from rung, minutes and way, and stands first, ready to teach', async () => {
  const { find, page, press, type } = await open([{ ...session, id: 's1', phase: 'ended' }]);
  const rung = find.getByRole<HTMLSelectElement>('combobox', { name: 'We are at' });
  expect(rung.value).toBe('quarter-past'); // the one after what was taught last
  // How far the class has come stands with what was given, in words.
  expect(find.getByRole('button', { name: /^Half past .*14 sure, 8 nearly$/ })).toBeTruthy();
  const drafted = { ...lesson, id: 'l2', title: 'Quarter past, 20 minutes' };
  const DRAFT = 'POST /api/lessons';
  server.on(DRAFT, {});
  server.on('GET /api/lessons', () => [lesson, { ...drafted, id: (server.sent(DRAFT)[0] as { id: string }).id }]);
  fireEvent.change(rung, { target: { value: 'quarter-to' } });
  await type(find.getByRole('spinbutton', { name: 'Minutes' }), '50');
  await press('Draft it');
  expect(find.getByRole('alert').textContent).toContain('a whole number of minutes, from 5 to 40');
  expect(server.sent(DRAFT)).toEqual([]);
  await type(find.getByRole('spinbutton', { name: 'Minutes' }), '20');
  await press('recorded');
  await press('Draft it');
  await until(() => page.textContent.includes('New, ready to teach'));
  expect(server.sent(DRAFT)).toMatchObject([{ rung: 'quarter-to', minutes: 20, delivery: 'recorded' }]);
  expect(find.getAllByRole('heading', { level: 3 })[0]!.textContent).toBe('Quarter past, 20 minutes');
});

test('a lesson file is taken in; one that is no JSON is named, and what the server finds in one is said', async () => {
  const { find, page } = await open();
  const FILE = 'POST /api/lessons/files';
  const choose = (text: string, bytes = new TextEncoder().encode(text)) => {
    const file = new File([text], 'half.lesson.json');
    Object.defineProperty(file, 'arrayBuffer', { value: async () => bytes });
    const box = find.getByLabelText<HTMLInputElement>('Open a lesson file');
    Object.defineProperty(box, 'files', { value: [file], configurable: true });
    fireEvent.change(box);
  };
  choose(`"${'x'.repeat(5 * 1024 * 1024)}"`);
  await until(() => page.textContent.includes('“half.lesson.json” is 6 MB large; a lesson file has 4 MB at most.'));
  choose('not JSON');
  await until(() => page.textContent.includes('“half.lesson.json” is no JSON, as a lesson file is.'));
  // "ü" as older programs wrote it: it would be lost in silence.
  choose('', Uint8Array.of(0x22, 0xfc, 0x22));
  await until(() => page.textContent.includes('“half.lesson.json” is not text in UTF-8'));
  server.on(FILE, new Refusal('LESSON_UNREADABLE', 'The lesson cannot be read: has an unknown member “moons”.'));
  choose('{"moons":3}');
  await until(() => page.textContent.includes('unknown member “moons”'));
  expect(server.sent(FILE)).toMatchObject([{ file: { moons: 3 } }]);
});

test('a lesson’s room opens with one press, however often it is pressed', async () => {
  const { press, find, navigate } = await open();
  let arrive = (): void => undefined;
  server.on(START, () => new Promise<object>((resolve) => (arrive = () => resolve({}))));
  await press(/Open the room/);
  expect(find.getByRole<HTMLButtonElement>('button', { name: /Open the room/ }).disabled).toBe(true);
  arrive();
  await new Promise((resolve) => setTimeout(resolve));
  const [start] = server.sent(START) as { id: string }[];
  expect(start).toMatchObject({ lessonId: 'l1', classId: 'c1' });
  expect(navigate).toHaveBeenCalledWith(['/console', start!.id]);
});

test('a refusal is said, and the lesson can be opened again', async () => {
  const { press, find, navigate, settled } = await open();
  server.on(START, new Refusal('NOT_FOUND', 'There is no such lesson or class among yours.'));
  await press(/Open the room/);
  await new Promise((resolve) => setTimeout(resolve));
  await settled();
  expect(find.getByRole('alert').textContent).toContain('There is no such lesson or class among yours.');
  expect(navigate).not.toHaveBeenCalled();
  expect(find.getByRole<HTMLButtonElement>('button', { name: /Open the room/ }).disabled).toBe(false);
});

test('running and taught lessons stand apart; with none there is a word about it', async () => {
  const { find } = await open([
    { ...session, id: 's1', phase: 'running' },
    { ...session, id: 's2', phase: 'ended', endedAtMs: 1 },
  ]);
  expect(find.getByRole('link', { name: 'Go on teaching' }).getAttribute('href')).toBe('/console/s1');
  expect(find.getByRole('link', { name: 'Review Half past at the harbour' }).getAttribute('href')).toBe('/review/s2');
});

test('lessons that cannot be fetched can be asked for again', async () => {
  server.reachable = false;
  const { find, press, settled } = await open();
  expect(find.getByRole('alert').textContent).toContain('The server cannot be reached just now.');
  server.reachable = true;
  await press('Try again');
  await new Promise((resolve) => setTimeout(resolve));
  await settled();
  expect(find.queryByRole('alert')).toBeNull();
  expect(find.getByText('Nothing taught yet. When you end a lesson, its answers wait here.')).toBeTruthy();
});

test('a lesson that cannot be read says why and cannot be opened; the others can', async () => {
  const broken = {
    ...lesson,
    id: 'l2',
    title: 'Quarters',
    facts: null,
    problem: 'The lesson “Quarters” cannot be read: must be number at /beats/2.',
  };
  const { find } = await open([], [lesson, broken]);
  expect(find.getByText(broken.problem)).toBeTruthy();
  expect(find.getAllByRole('button', { name: /Open the room/ })).toHaveLength(1);
});

test('a lesson is put away and brought back at once, or later from those put away', async () => {
  server.on('POST /api/lessons/l1/archive', undefined);
  server.on('POST /api/lessons/l1/restore', undefined);
  const { press, find, settled } = await open();
  const pressAndWait = async (name: string | RegExp) => {
    await press(name);
    await new Promise((resolve) => setTimeout(resolve));
    await settled();
  };
  await pressAndWait(/^Put away/);
  expect(find.getByText(/“Half past at the harbour” is put away\./)).toBeTruthy();
  expect(find.queryByRole('button', { name: /Open the room/ })).toBeNull();
  await pressAndWait('Bring it back');
  expect(find.getByRole('button', { name: /Open the room/ })).toBeTruthy();
  await pressAndWait(/^Put away/);
  await pressAndWait(/^Bring back/);
  expect(server.asked.filter(({ route }) => route.endsWith('/restore'))).toHaveLength(2);
});
