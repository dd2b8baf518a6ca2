import { fireEvent, within } from '@testing-library/dom';
import { NEW_PLAN } from '@zeitpunkt/core/series/plan';
import { dayOf, daysOn } from '@zeitpunkt/core/series/school-days';
import { putOn } from '@zeitpunkt/core/series/series';
import { courseServer, LESSON, lessonOf, NO_STANDING, openPlace, SESSION } from '../../testing/course';
import { Refusal, type FakeServer } from '../../testing/fake-server';
import { textOf, until } from '../../testing/render';
import { lessonRows, isMeant, inOrder } from './lesson-rows';
import { Lessons } from './lessons';

const TODAY = dayOf(Date.now());
const START = 'POST /api/sessions';
const EVERY_DAY = { ...NEW_PLAN, schoolDays: [1, 2, 3, 4, 5, 6, 7] as (typeof NEW_PLAN)['schoolDays'] };
const menu = within(document.body);

let server: FakeServer;
async function open(given: Parameters<typeof courseServer>[0] = {}, inputs = {}) {
  server = courseServer(given);
  const screen = await openPlace(Lessons, inputs);
  const choose = async (title: string, item: RegExp) => {
    await screen.press(`More for ${title}`);
    fireEvent.click(menu.getByRole('menuitem', { name: item }));
    await screen.settled();
  };
  const group = (name: RegExp) => textOf(screen.find.getByRole('region', { name }));
  return { ...screen, choose, group };
}

test('lessons stand by what becomes of them: coming, drafts, taught with how each question went', async () => {
  const { group, find } = await open({
    lessons: [LESSON, { ...lessonOf('l2', 'Quarters'), facts: { ...LESSON.facts, findings: 11 } }, lessonOf('l3', 'Any minute')],
    sessions: [SESSION, { ...SESSION, id: 's2', title: 'Runs', phase: 'running' }],
    plan: putOn({ ...EVERY_DAY, times: [1, 2, 3, 4, 5, 6, 7].map((weekday) => ({ weekday: weekday as 1, atSec: 34_800 })) }, 'l3', TODAY),
    standing: { ...NO_STANDING, lessons: [{ id: 's1', answered: 24, questions: [{ right: 20, answers: 20 }, { right: 8, answers: 20 }] }] }, // prettier-ignore
  });
  expect(group(/^Coming/)).toMatch(/Runs.*runs now.*Go on teaching.*Any minute.*today, 9:40.*ready/);
  expect(group(/^Drafts/)).toMatch(/Quarters.*11 findings.*Half past at the harbour.*no day yet/);
  expect(group(/^Taught/)).toMatch(/24 of 26 there 70%/);
  expect(find.getByRole('img', { name: '70 of 100 answers right; by question 100, 40' })).toBeTruthy();
  expect(find.getByRole('link', { name: 'Go on teaching' }).getAttribute('href')).toBe('/console/s2');
  expect(find.getByRole('link', { name: 'Review Half past at the harbour' }).getAttribute('href')).toBe('/review/s1');
});

test('a lesson is found by part of its name, by its rung, or by a time of a question', () => {
  const rows = lessonRows({
    lessons: [LESSON, { ...lessonOf('l2', 'Fähre'), facts: { ...LESSON.facts, rung: 'seconds', times: [9900] } }] as never,
    sessions: [],
    plannedOn: new Map([['l2', TODAY]]),
    beginsAt: () => null,
    standing: null,
    today: TODAY,
  });
  const found = (typed: string) => rows.filter((row) => isMeant(row, typed)).map(({ key }) => key);
  expect([found('HARB'), found('fahre'), found('seconds'), found('2:45'), found('2.30'), found('half past'), found('3:45')]).toEqual([
    ['l1'],
    ['l2'],
    ['l2'],
    ['l2'],
    ['l1'],
    ['l1'],
    [],
  ]);
  expect(inOrder(rows, 'coming', 'newest').map(({ key }) => key)).toEqual(['l2']);
});

test('what is searched for, the filter and the order stand in the address', async () => {
  const { find, type, navigate, page } = await open({ lessons: [LESSON, lessonOf('l2', 'Quarters')] }, { q: 'quart' });
  expect(textOf(page)).toContain('1 lesson is found');
  expect(find.queryByText('Half past at the harbour')).toBeNull();
  await type(find.getByRole('searchbox'), '7:30');
  expect(navigate.mock.lastCall![1]).toMatchObject({ queryParams: { q: '7:30' }, replaceUrl: true });
  fireEvent.click(find.getByRole('radio', { name: /^taught/ }));
  expect(navigate.mock.lastCall![1]).toMatchObject({ queryParams: { show: 'taught' } });
});

test('a lesson’s room opens with one press, however often it is pressed', async () => {
  const { press, find, navigate, settled } = await open();
  let arrive = (): void => undefined;
  server.on(START, () => new Promise<object>((resolve) => (arrive = () => resolve({}))));
  await press(/Open the room/);
  expect(find.getByRole<HTMLButtonElement>('button', { name: /Open the room/ }).disabled).toBe(true);
  arrive();
  await until(() => navigate.mock.calls.length > 0);
  const [start] = server.sent(START) as { id: string }[];
  expect(start).toMatchObject({ lessonId: 'l1', classId: 'c1' });
  expect(navigate).toHaveBeenCalledWith(['/console', start!.id]);
  server.on(START, new Refusal('NOT_FOUND', 'There is no such lesson or class among yours.'));
  await press(/Open the room/);
  await until(() => find.queryByRole('alert') !== null);
  await settled();
  expect(find.getByRole('alert').textContent).toContain('There is no such lesson or class among yours.');
  expect(find.getByRole<HTMLButtonElement>('button', { name: /Open the room/ }).disabled).toBe(false);
});

test('lessons that cannot be fetched can be asked for again; one that cannot be read says why', async () => {
  const broken = {
    ...lessonOf('l2', 'Quarters'),
    facts: null,
    problem: 'The lesson “Quarters” cannot be read: must be number at /beats/2.',
  };
  server = courseServer({ lessons: [LESSON, broken] });
  server.reachable = false;
  const opening = openPlace(Lessons);
  const { find, press, page } = await opening;
  expect(find.getByRole('alert').textContent).toContain('The server cannot be reached just now.');
  server.reachable = true;
  await press('Try again');
  await until(() => textOf(page).includes(broken.problem));
  expect(find.getAllByRole('button', { name: /Open the room/ })).toHaveLength(1);
});

test('a lesson file is taken in; one that is no JSON is named, and what the server finds in one is said', async () => {
  const { find, page } = await open();
  const FILE = 'POST /api/lessons/files';
  const choose = (text: string, bytes = new TextEncoder().encode(text)) => {
    const file = new File([text], 'half.lesson.json');
    Object.defineProperty(file, 'arrayBuffer', { value: async () => bytes });
    const box = find.getByLabelText<HTMLInputElement>('Open a lesson file', { selector: 'input' });
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

test('a lesson is put away and brought back at once, or later from those put away', async () => {
  const { choose, find, press } = await open();
  server.on('POST /api/lessons/l1/archive', undefined);
  server.on('POST /api/lessons/l1/restore', undefined);
  const putAway = async () => {
    await choose(LESSON.title, /^Put away/);
    await until(() => find.queryByRole('button', { name: /Open the room/ }) === null);
  };
  await putAway();
  await until(() => document.querySelector('mat-snack-bar-container') !== null);
  document.querySelector<HTMLButtonElement>('mat-snack-bar-container button')!.click();
  await until(() => find.queryByRole('button', { name: /Open the room/ }) !== null);
  await putAway();
  await press(/^Bring back/);
  await until(() => server.asked.filter(({ route }) => route.endsWith('/restore')).length === 2);
});

test('a lesson is put on another day by its menu, beside what stands there, and that can be undone', async () => {
  const { press, page, settled } = await open({
    lessons: [LESSON, lessonOf('l2', 'Quarters')],
    plan: putOn(EVERY_DAY, 'l2', daysOn(TODAY, 1)),
  });
  await press(`More for ${LESSON.title}`);
  fireEvent.click(menu.getByRole('menuitem', { name: /^Put on a day/ }));
  await until(() => menu.queryByRole('menuitem', { name: /beside “Quarters”/ }) !== null);
  fireEvent.click(menu.getByRole('menuitem', { name: /beside “Quarters”/ }));
  await settled();
  await until(() => /Coming 2/.test(textOf(page)));
  await until(() => server.sent('POST /api/classes/c1/plan').length > 0);
  expect(server.sent('POST /api/classes/c1/plan')[0]).toMatchObject({ plan: { beside: [{ lessonId: 'l2' }, { lessonId: 'l1', date: daysOn(TODAY, 1) }] } }); // prettier-ignore
});
