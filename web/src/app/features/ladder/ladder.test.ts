import { fireEvent, within } from '@testing-library/dom';
import { MAT_DIALOG_DATA, MatDialogRef } from '@angular/material/dialog';
import { sameJson } from '@zeitpunkt/core/same-json';
import { NEW_PLAN, type ClassPlan } from '@zeitpunkt/core/series/plan';
import { dayOf, daysOn } from '@zeitpunkt/core/series/school-days';
import { putOn } from '@zeitpunkt/core/series/series';
import { courseServer, LESSON, lessonOf, NO_STANDING, openPlace, SESSION } from '../../testing/course';
import { Refusal, type FakeServer } from '../../testing/fake-server';
import { render, textOf, until } from '../../testing/render';
import { longDay } from '../../shared/words/days';
import { Ladder } from './ladder';
import { OwnDay } from './own-day';

const TODAY = dayOf(Date.now());
const LESSONS = [lessonOf('l1', 'Half past'), lessonOf('l2', 'Quarter past')];
const series = { startsOn: TODAY, weekdays: [1, 2, 3, 4, 5, 6, 7] as ClassPlan['schoolDays'], lessonIds: ['l1', 'l2'], skipped: [] };
const EVERY_DAY: ClassPlan = { ...NEW_PLAN, schoolDays: series.weekdays };
const PLANNED: ClassPlan = { ...EVERY_DAY, series };
const SAVE = 'POST /api/classes/c1/plan';
const DRAFT = 'POST /api/lessons';
const menu = within(document.body);

let server: FakeServer;
async function open(given: Parameters<typeof courseServer>[0] = {}, inputs: Record<string, unknown> = {}) {
  server = courseServer(given);
  const screen = await openPlace(Ladder, inputs);
  // What the place writes into its address comes back to it.
  screen.navigate.mockImplementation(async (_to, extras) => {
    if (extras?.queryParams) await screen.setInputs(Object.fromEntries(Object.entries(extras.queryParams).map(([name, value]) => [name, value ?? undefined]))); // prettier-ignore
    return true;
  });
  const fromMenu = async (press: string | RegExp, item: string | RegExp | ((name: string) => boolean)) => {
    await screen.press(press);
    fireEvent.click(menu.getByRole('menuitem', { name: item }));
    await screen.settled();
  };
  const days = () => [...screen.page.querySelectorAll('.day')].map((day) => day.getAttribute('aria-label')!);
  return { ...screen, fromMenu, dayOf: (title: string) => days().find((label) => label.includes(title)) };
}
const openCalendar = (plan: ClassPlan, lessons: object[] = LESSONS, sessions: object[] = []) =>
  open({ plan, lessons, sessions }, { view: 'calendar' });

test('every rung says where the class stands on it, and how many lessons were given and are planned', async () => {
  const { find, page } = await open({
    sessions: [{ ...SESSION, createdAtMs: Date.now() - 86_400_000 }],
    plan: putOn(EVERY_DAY, 'l2', daysOn(TODAY, 1)),
    lessons: [LESSON, { ...lessonOf('l2', 'Quarter past'), facts: { ...LESSON.facts, rung: 'quarter-past' } }],
    standing: { ...NO_STANDING, rungs: [{ rung: 'half-past', words: { sure: 14, nearly: 8, partly: 0, 'not-yet': 0, 'too-few': 4 } }] },
  });
  await until(() => find.queryByRole('button', { name: /^Half past, 14 sure, 8 nearly, 4 too few answers to say, 1 given$/ }) !== null);
  expect(find.getByRole('button', { name: /^Quarter past, too few answers to say, 1 planned$/ }).getAttribute('aria-pressed')).toBe('true');
  expect(page.querySelectorAll('zp-ladder-drawn li:nth-last-child(2) zp-ticks i').length).toBe(26);
  expect(find.getByRole('link', { name: /^“Half past at the harbour”, given on/ }).getAttribute('href')).toBe('/review/s1');
  expect(textOf(page)).toContain('Terns are between half past and quarter past');
});

test('a chosen rung opens to its side: what pupils can say, new words, what goes wrong as pairs of dials', async () => {
  const { press, page } = await open();
  await press(/^Any minute/);
  const side = page.querySelector('zp-rung-side')!;
  expect(textOf(side)).toMatch(
    /Seventh of 12 rungs Any minute after five minutes to.*I count in fives.*minute tick.*Takes the nearest numeral reads 2:58 as 3:58/,
  );
  expect(side.querySelectorAll('zp-pair').length).toBeGreaterThanOrEqual(3);
});

test('what is drafted for a day stands on it; the notice takes both back; an empty one is gone to', async () => {
  const { press, page, navigate } = await open({ plan: EVERY_DAY }, { rung: 'quarter-to', day: daysOn(TODAY, 1) });
  server.on(DRAFT, {});
  server.on('GET /api/lessons', () => server.sent(DRAFT).map((one) => lessonOf((one as { id: string }).id, 'Quarter to')));
  await press(/Draft the lesson/);
  await until(() => /“Quarter to” is drafted and stands on/.test(textOf(page)));
  const [{ id }] = server.sent(DRAFT) as [{ id: string }];
  expect(server.sent(DRAFT)).toMatchObject([{ rung: 'quarter-to', minutes: 15, delivery: 'live', classId: 'c1' }]);
  await until(() =>
    sameJson((server.sent(SAVE).at(-1) as { plan: ClassPlan } | undefined)?.plan.beside, [{ lessonId: id, date: daysOn(TODAY, 1) }]),
  );
  server.on(`POST /api/lessons/${id}/archive`, undefined);
  document.querySelector<HTMLButtonElement>('mat-snack-bar-container button')!.click();
  await until(() => server.asked.some(({ route }) => route === `POST /api/lessons/${id}/archive`));
  await until(() => (server.sent(SAVE).at(-1) as { plan: ClassPlan }).plan.beside.length === 0);
  await press('Begin empty');
  await until(() => navigate.mock.calls.some(([to]) => to[0] === '/lessons'));
});

test('a planned lesson moves to another day from its dot on the axis', async () => {
  const { fromMenu, settled } = await open({ plan: putOn(EVERY_DAY, 'l1', TODAY), lessons: LESSONS });
  await fromMenu(/^“Half past”, planned for/, /^Another day/);
  await until(() => menu.queryAllByRole('menuitem').length > 6);
  fireEvent.click(menu.getAllByRole('menuitem').at(-1)!);
  await settled();
  await until(() => server.sent(SAVE).length > 0);
  const { date } = (server.sent(SAVE)[0] as { plan: ClassPlan }).plan.beside[0]!;
  expect(date > TODAY).toBe(true);
});

test('a day off moves its lesson and the rest; it can be undone, and saves itself', async () => {
  const { press, dayOf: on, fromMenu } = await openCalendar(PLANNED);
  expect(on('Half past, planned')).toContain('today');
  // Why a rung is next is told where it says so.
  expect(textOf(document.body)).toContain('“Half past” is planned today.');
  const [before, next] = [on('Half past, planned'), on('Quarter past, planned')];
  await press('Day off');
  expect(on('Half past, planned')).toBe(next!.replace('Quarter', 'Half'));
  expect(on('day off')).toContain('today');
  await fromMenu('More for the plan', 'Undo in the plan');
  expect(on('Half past, planned')).toBe(before);
  await press('Not held: the rest moves on');
  await until(() => server.sent(SAVE).length > 0);
  expect(server.sent(SAVE).at(-1)).toEqual({ revision: 4, plan: { ...PLANNED, series: { ...series, skipped: [TODAY] } } });
});

test('a notice takes back its own step, and none that was taken since', async () => {
  const { fromMenu, press, dayOf: on } = await openCalendar(putOn(EVERY_DAY, 'l1', TODAY));
  await fromMenu(/^Move to …/, (name) => name === longDay(daysOn(TODAY, 3)));
  const moved = on('Half past, planned');
  await press('Day off');
  document.querySelector<HTMLButtonElement>('mat-snack-bar-container button')!.click();
  await until(() => textOf(document.body).includes('The plan was changed since.'));
  expect(on('Half past, planned')).toBe(moved);
  expect(on('day off')).toContain('today');
});

test('lessons change places and leave the plan from the day they are planned for', async () => {
  const { press, dayOf: on } = await openCalendar(PLANNED);
  await press(on('Quarter past, planned')!);
  await press('Change with the one before');
  expect(on('Quarter past, planned')).toContain('today');
  await press(on('Quarter past, planned')!);
  await press(/^Take out of the plan/);
  expect(on('Quarter past')).toBeUndefined();
  expect(on('Half past, planned')).toContain('today');
});

test('what a change moves is said before it is made', async () => {
  const { press, page, dayOf: on } = await openCalendar(PLANNED);
  await press(on('Quarter past, planned')!);
  const panel = page.querySelector('zp-day-panel')!;
  const described = [...panel.querySelectorAll('[aria-describedby]')].map((one) => document.getElementById(one.getAttribute('aria-describedby')!)?.textContent ?? ''); // prettier-ignore
  expect(described.some((words) => /“Quarter past” goes to /.test(words))).toBe(true);
});

test('a day on which a lesson was given says so and leads to its review', async () => {
  const session = { ...SESSION, title: 'Half past', createdAtMs: Date.now() };
  const { page, find, dayOf: on } = await openCalendar(PLANNED, LESSONS, [session]);
  expect(on('Half past, given')).toContain('today');
  expect(textOf(page.querySelector('zp-day-panel')!)).toContain('“Half past” was given.');
  expect(find.getByRole('link', { name: 'Review the lesson of this day' }).getAttribute('href')).toBe('/review/s1');
});

test('a series is drafted lesson by lesson, each for its place, and can be stopped; what is drafted is planned', async () => {
  const { press } = await open({ plan: EVERY_DAY }, { rung: 'quarter-past' });
  const arrive: (() => void)[] = [];
  server.on(DRAFT, () => new Promise<object>((resolve) => arrive.push(() => resolve({}))));
  await press(/Plan a series/);
  await until(() => menu.queryByRole('button', { name: /^Draft \d lessons$/ }) !== null);
  expect(menu.getByRole('button', { name: 'Draft 6 lessons' })).toBeTruthy();
  fireEvent.click(menu.getByRole('button', { name: 'Draft 6 lessons' }));
  for (let lesson = 1; lesson <= 3; lesson++) {
    await until(() => arrive.length === lesson);
    if (lesson === 3) fireEvent.click(menu.getByRole('button', { name: 'Stop' }));
    arrive[lesson - 1]!();
  }
  await until(() => textOf(document.body).includes('Stopped: 3 of 6 lessons are drafted and planned.'));
  const wishes = server.sent(DRAFT) as { id: string; rung: string; between: object; minutes: number; classId: string }[];
  expect(wishes.map(({ rung }) => rung)).toEqual(['quarter-past', 'quarter-past', 'quarter-to']);
  expect(wishes[1]).toMatchObject({ classId: 'c1', minutes: 20, between: { before: 'quarter-past', after: 'quarter-to' } });
  await until(() => server.sent(SAVE).length > 0);
  expect(server.sent(SAVE).at(-1)).toMatchObject({ plan: { series: { startsOn: TODAY, lessonIds: wishes.map(({ id }) => id) } } });
});

test('a plan that was changed in another window is not overwritten, and can be shown', async () => {
  const { press, page } = await openCalendar(PLANNED);
  server.on(SAVE, new Refusal('PLAN_CHANGED', 'The plan of Terns was changed meanwhile, from another window. Nothing was overwritten.'));
  await press('Day off');
  await until(() => textOf(page).includes('Nothing was overwritten.'));
  await press('Show the plan as it is now');
  await until(() => !textOf(page).includes('Nothing was overwritten.'));
});

test('the class’s own times are kept as they are meant; a line without a time is named', async () => {
  const changes: ((plan: ClassPlan) => ClassPlan)[] = [];
  const plans = { plan: () => NEW_PLAN, changeAndSay: (change: (typeof changes)[number]) => changes.push(change) };
  const { find, press, type } = await render(OwnDay, {}, [
    { provide: MAT_DIALOG_DATA, useValue: plans },
    { provide: MatDialogRef, useValue: { close: () => undefined } },
  ]);
  await type(find.getByRole('textbox'), 'the mail boat');
  await press('Keep these times');
  expect(find.getByRole('alert').textContent).toContain('Line 1');
  await type(find.getByRole('textbox'), '7:45 school ferry\nhalf past 4 mail boat');
  await press('Keep these times');
  expect(changes.map((change) => change(NEW_PLAN).daily)).toEqual([
    [
      { atSec: 27_900, text: 'school ferry' },
      { atSec: 59_400, text: 'mail boat' },
    ],
  ]);
});
