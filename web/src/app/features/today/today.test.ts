import { MAT_DIALOG_DATA, MatDialogRef } from '@angular/material/dialog';
import { gearedPose } from '@zeitpunkt/core/dial/pose';
import { NEW_PLAN, type ClassPlan } from '@zeitpunkt/core/series/plan';
import { dayOf, daysOn } from '@zeitpunkt/core/series/school-days';
import { putOn } from '@zeitpunkt/core/series/series';
import { secondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { courseServer, LESSON, lessonOf, NO_STANDING, openPlace, SESSION } from '../../testing/course';
import { Refusal, type FakeServer } from '../../testing/fake-server';
import { render, textOf, until } from '../../testing/render';
import { BeginCards } from './begin-cards';
import { LessonTimes } from './lesson-times';
import { Today } from './today';

const TODAY = dayOf(Date.now());
const EVERY_DAY: ClassPlan = { ...NEW_PLAN, schoolDays: [1, 2, 3, 4, 5, 6, 7] };
const AT_NOON = ([1, 2, 3, 4, 5, 6, 7] as const).map((weekday) => ({ weekday, atSec: 43_200 }));
const NEXT: ClassPlan = putOn({ ...EVERY_DAY, times: AT_NOON }, 'l1', TODAY);

let server: FakeServer;
async function open(given: Parameters<typeof courseServer>[0] = {}) {
  server = courseServer(given);
  return openPlace(Today);
}
afterEach(() => jest.useRealTimers());

describe('the next lesson', () => {
  const part = (page: HTMLElement) => textOf(page.querySelector('zp-next-lesson')!);

  test.each([
    [11, 38, 'in 22 minutes now 11:38, begins 12:00'],
    [8, 0, 'in 4 hours now 8:00, begins 12:00'],
    [12, 0, 'begins now'],
    [12, 5, 'since 5 minutes'],
  ])('at %d:%d it is said how long it is until then', async (hour, minute, said) => {
    const now = new Date();
    now.setHours(hour, minute, 0, 0);
    jest.useFakeTimers({
      now,
      doNotFake: ['setTimeout', 'nextTick', 'queueMicrotask', 'setImmediate', 'requestAnimationFrame', 'setInterval', 'performance'],
    });
    const { page } = await open({ plan: putOn({ ...EVERY_DAY, times: AT_NOON }, 'l1', dayOf(now.getTime())) });
    expect(part(page)).toContain(said);
  });

  test('its times, what to have at hand, and the press that opens its room', async () => {
    const { page, press, navigate, find } = await open({ plan: NEXT });
    expect(part(page)).toMatch(/20 minutes, 3 questions Half past at the harbour 7:30 2:30 8:30 Have at hand/);
    server.on('POST /api/sessions', {});
    await press('Open the room for Half past at the harbour');
    await until(() => navigate.mock.calls.length > 0);
    expect(navigate.mock.lastCall![0]).toEqual(['/console', (server.sent('POST /api/sessions')[0] as { id: string }).id]);
    expect(find.getByRole('link', { name: /^Edit Half past/ }).getAttribute('href')).toBe('/lessons/l1');
  });

  test('with none, the rung that comes after the last lesson is offered', async () => {
    const { find } = await open({ sessions: [SESSION] });
    expect(find.getByRole('link', { name: 'Draft a lesson: Quarter past' }).getAttribute('href')).toBe('/ladder?rung=quarter-past');
  });
});

test('a school at its beginning is led to its pupils, their cards and the first lesson', async () => {
  const { find, press, navigate } = await open({ pupils: 0 });
  expect(find.getByRole('heading', { level: 1 }).textContent).toContain('Three steps to the first lesson');
  await press(/Take in a list/);
  expect(navigate).toHaveBeenCalledWith(['/classes', 'c1', 'pupils'], { queryParams: { add: 'list' } });
  expect(find.getByRole('link', { name: 'Make the cards' }).getAttribute('href')).toBe('/classes/c1/cards');
});

test('what stood out last is a pair of dials with the names of those whose answers show it', async () => {
  const [asked, answered] = [secondOfDay(8, 50), secondOfDay(9, 50)].map(gearedPose);
  const pair = { act: 'read', at: secondOfDay(8, 50), asked, answered, answeredAt: secondOfDay(9, 50) };
  const names = ['Dov', 'Mirela', 'Ulla', 'Zeb', 'Runa', 'Jory'].map((name) => ({ id: name.toLowerCase(), name }));
  const stoodOut = {
    sessionId: 's1',
    title: 'Five-minute steps',
    createdAtMs: Date.UTC(2026, 10, 27, 10),
    answered: 24,
    ideas: [{ id: 'nearest-hour', pupilIds: names.map(({ id }) => id), pair }],
  };
  const { page, find } = await open({ plan: NEXT, sessions: [SESSION], standing: { ...NO_STANDING, names, stoodOut } });
  await until(() => page.querySelector('zp-pair') !== null);
  expect(textOf(page.querySelector('zp-stood-out')!)).toBe(
    'What stood out on Friday Five-minute steps, 24 there Open the review Takes the nearest numeral read 8:50 as 9:50 Dov Mirela Ulla Zeb Runa and 1 more',
  );
  expect(find.getByRole('link', { name: 'Dov' }).getAttribute('href')).toBe('/classes/c1/review/pupils/dov');
});

test('a suggestion is drafted for the next free school day; one press undoes its day', async () => {
  const DRAFT = 'POST /api/lessons';
  const { press, page } = await open({
    plan: NEXT,
    sessions: [SESSION],
    standing: { ...NO_STANDING, rungs: [{ rung: 'quarter-past', words: { sure: 13, nearly: 8, partly: 0, 'not-yet': 4, 'too-few': 1 } }] },
  });
  await until(() => textOf(page).includes('13 sure, 8 nearly, 4 not yet, 1 too few answers to say'));
  server.on(DRAFT, {});
  server.on('GET /api/lessons', () => [LESSON, lessonOf((server.sent(DRAFT)[0] as { id: string }).id, 'Quarter past')]);
  await press(/^Draft for/);
  await until(() => server.sent('POST /api/classes/c1/plan').length > 0);
  const [{ id }] = server.sent(DRAFT) as [{ id: string; rung: string }];
  expect(server.sent(DRAFT)).toMatchObject([{ rung: 'quarter-past', classId: 'c1' }]);
  expect(server.sent('POST /api/classes/c1/plan').at(-1)).toMatchObject({
    plan: { beside: [{}, { lessonId: id, date: daysOn(TODAY, 1) }] },
  });
});

test('this week has what was given, what comes, and a press for a day that is free', async () => {
  const { page, find } = await open({ lessons: [LESSON, lessonOf('l2', 'Quarters')], plan: putOn(NEXT, 'l2', daysOn(TODAY, 1)) });
  const week = textOf(page.querySelector('zp-this-week')!);
  expect(week).toContain('12:00 Half past at the harbour');
  expect(
    find.queryAllByRole('link', { name: /^Draft a lesson for/ }).every((link) => /\/ladder\?day=2/.test(link.getAttribute('href')!)),
  ).toBe(true);
});

test('a lesson that runs leads back to it; one at own pace says how far everybody is', async () => {
  const running = [
    { ...SESSION, id: 's2', phase: 'running', endedAtMs: null },
    { ...SESSION, id: 's3', phase: 'running', pace: 'own', title: 'At home', endedAtMs: null },
  ];
  server = courseServer({ plan: NEXT, sessions: running });
  const place = (at: number | null, done = false) => ({ at, done });
  server.on('GET /api/own-pace/s3/progress', {
    lastDay: '2026-12-05',
    steps: 4,
    places: [place(null), place(2), place(3, true), place(null)],
  });
  const { page, find } = await openPlace(Today);
  await until(() => textOf(page).includes('2 not begun'));
  expect(textOf(page)).toMatch(/at own pace until Saturday At home 2 not begun 1 on the way 1 done/);
  expect(find.getByRole('link', { name: 'Go on teaching' }).getAttribute('href')).toBe('/console/s2');
});

test('a clock that leapt is told with both days, and a teacher says that it is right', async () => {
  server = courseServer();
  server.on('GET /api/clock', { leap: { fromMs: Date.UTC(2026, 10, 3, 12), toMs: Date.UTC(2027, 11, 8, 12) } });
  server.on('POST /api/clock/confirm', { leap: null });
  const { find, press } = await openPlace(Today);
  expect(find.getByRole('alert').textContent).toMatch(/8 December 2027.*3 November 2026.*Nothing has been deleted/s);
  await press('Yes, this is the day');
  await until(() => find.queryByRole('alert') === null);
  expect(server.sent('POST /api/clock/confirm')).toHaveLength(1);
});

test('what could not be fetched is not shown as if there were nothing; it can be asked for again', async () => {
  server = courseServer({ plan: NEXT });
  server.on('GET /api/lessons', new Refusal('STORE_BUSY', 'Another program holds the database just now.', 503));
  const { find, page, press } = await openPlace(Today);
  expect(find.getByRole('alert').textContent).toContain('Another program holds the database just now.');
  expect(page.querySelector('zp-next-lesson')).toBeNull();
  server.on('GET /api/lessons', [LESSON]);
  await press('Try again');
  await until(() => page.querySelector('zp-next-lesson') !== null);
});

describe('daily cards', () => {
  const begin = async (text: string) => {
    const changes: ((plan: ClassPlan) => ClassPlan)[] = [];
    const plans = { change: (change: (typeof changes)[number]) => changes.push(change) };
    const data = { provide: MAT_DIALOG_DATA, useValue: { plans, today: TODAY } };
    const { find, press, type } = await render(BeginCards, {}, [data, { provide: MatDialogRef, useValue: { close: () => undefined } }]);
    await type(find.getByRole('textbox'), text);
    await press('Begin today');
    return { cards: changes[0]?.(NEW_PLAN).cards ?? null, problem: find.queryByRole('alert')?.textContent ?? null };
  };

  test.each([
    ['8:00', { firstSec: 28_800, stepsMin: [30] }],
    ['8:00, 8:30, 9:00, 10:00, 10:30', { firstSec: 28_800, stepsMin: [30, 30, 60] }],
    ['half past 7, 7:20, 7:10', { firstSec: 27_000, stepsMin: [-10] }],
  ])('“%s” begins a pattern today', async (text, pattern) => {
    expect(await begin(text)).toEqual({ cards: { pattern, startsOn: TODAY, shown: 0 }, problem: null });
  });

  test.each([
    ['', /Type the first time/],
    ['8:00, soon', /“soon”/],
    ['8:00, 8:00', /same time twice/],
  ])('“%s” begins none and says why', async (text, why) => {
    expect(await begin(text)).toEqual({ cards: null, problem: expect.stringMatching(why) });
  });

  test('missed cards are told and shown together; today’s is asked for as long as it was not shown', async () => {
    const cards = { pattern: { firstSec: 28_800, stepsMin: [30] }, startsOn: daysOn(TODAY, -4), shown: 2 };
    const { page, find } = await open({ plan: { ...NEXT, cards } });
    const part = page.querySelector('zp-todays-card')!;
    expect(textOf(part)).toMatch(/number 5 \? ?today|number 5/);
    expect(textOf(part)).toContain('2 were missed');
    expect(find.getByRole('link', { name: 'Show 3 cards' }).getAttribute('href')).toBe('/cards/c1');
  });
});

test('when lessons begin is kept by day; what is no time is named', async () => {
  const changes: ((plan: ClassPlan) => ClassPlan)[] = [];
  const plans = { plan: () => NEW_PLAN, change: (change: (typeof changes)[number]) => changes.push(change) };
  const { find, press, type } = await render(LessonTimes, {}, [
    { provide: MAT_DIALOG_DATA, useValue: plans },
    { provide: MatDialogRef, useValue: { close: () => undefined } },
  ]);
  await type(find.getByLabelText('Monday'), '9.40');
  await type(find.getByLabelText('Friday'), 'noon');
  await press('Keep these times');
  expect(find.getByRole('alert').textContent).toContain('“noon” is no time of the day');
  await type(find.getByLabelText('Friday'), '14:05');
  await press('Keep these times');
  expect(changes.map((change) => change(NEW_PLAN).times)).toEqual([
    [
      { weekday: 1, atSec: 34_800 },
      { weekday: 5, atSec: 50_700 },
    ],
  ]);
});
