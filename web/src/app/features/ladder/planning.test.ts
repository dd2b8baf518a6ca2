import { provideRouter } from '@angular/router';
import { fireEvent, within } from '@testing-library/dom';
import { provideState, provideStore } from '@ngrx/store';
import { daysOn, NEW_PLAN, sameJson, type ClassPlan, dayOf } from '@zeitpunkt/core';
import { authFeature } from '../../state/auth';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { heard, render, textOf, until } from '../../testing/render';
import { CardsPanel } from './cards-panel';
import type { PlanEdit } from './day-panel';
import { Ladder } from './ladder';
import { OwnDay } from './own-day';

const TODAY = dayOf(Date.now());
const EVERY_DAY: ClassPlan['schoolDays'] = [1, 2, 3, 4, 5, 6, 7];
const facts = { goal: 'Read it.', rung: 'half-past', targetMinutes: 20, plannedSec: 1200, beatCount: 15, questionCount: 3 };
const lessonOf = (id: string, title: string) => ({ id, revision: 1, title, facts, problem: null, archivedAtMs: null });
const LESSONS = [lessonOf('l1', 'Half past'), lessonOf('l2', 'Quarter past')];
const series = { startsOn: TODAY, weekdays: EVERY_DAY, lessonIds: ['l1', 'l2'], skipped: [] };
const PLANNED: ClassPlan = { ...NEW_PLAN, schoolDays: EVERY_DAY, series };
const SAVE = 'POST /api/classes/c1/plan';
const DRAFT = 'POST /api/lessons';

let server: FakeServer;
async function open(plan: ClassPlan, lessons: object[] = LESSONS, sessions: object[] = []) {
  server = new FakeServer({
    'GET /api/clock': { leap: null },
    'GET /api/classes': [{ id: 'c1', name: 'Terns', pupilCount: 26 }],
    'GET /api/lessons': lessons,
    'GET /api/sessions': sessions,
    'GET /api/classes/c1/mastery': { rungs: [] },
    'GET /api/classes/c1/plan': { revision: 4, plan },
    [SAVE]: () => ({ revision: 5 }),
  });
  const screen = await render(Ladder, {}, [provideRouter([]), provideStore(), provideState(authFeature)]);
  await until(() => screen.page.querySelector('zp-calendar-strip') !== null);
  const days = () => [...screen.page.querySelectorAll('.day')].map((day) => day.getAttribute('aria-label')!);
  return { ...screen, dayOf: (title: string) => days().find((label) => label.includes(title)) };
}

test('a day off moves its lesson and the rest; it can be undone, and saves itself', async () => {
  const { press, dayOf: on, find } = await open(PLANNED);
  expect(on('Half past, planned')).toContain('today');
  expect(find.getByText('“Half past” is planned today.')).toBeTruthy();
  const [before, next] = [on('Half past, planned'), on('Quarter past, planned')];
  await press('Day off');
  expect(on('Half past, planned')).toBe(next!.replace('Quarter', 'Half'));
  expect(on('day off')).toContain('today');
  await press('Undo in the plan');
  expect(on('Half past, planned')).toBe(before);
  await press('Not held: the rest moves on');
  await until(() => server.sent(SAVE).length > 0);
  expect(server.sent(SAVE).at(-1)).toEqual({ revision: 4, plan: { ...PLANNED, series: { ...series, skipped: [TODAY] } } });
});

test('lessons change places and leave the plan from the day they are planned for', async () => {
  const { press, dayOf: on } = await open(PLANNED);
  await press(on('Quarter past, planned')!);
  await press('Change with the one before');
  expect(on('Quarter past, planned')).toContain('today');
  await press(on('Quarter past, planned')!);
  await press(/^Take out of the plan/);
  expect(on('Quarter past')).toBeUndefined();
  expect(on('Half past, planned')).toContain('today');
});

test('a lesson is put on a day by a menu, moves nothing else, can be moved again, and each change undone', async () => {
  const { press, dayOf: on, page, settled } = await open(PLANNED, [...LESSONS, lessonOf('l3', 'Five past')]);
  const choose = async (which: number) => {
    const item = within(document.body).getAllByRole('menuitem')[which]!;
    const words = textOf(item);
    fireEvent.click(item);
    await settled();
    return words;
  };
  const [half, quarter] = [on('Half past, planned'), on('Quarter past, planned')];
  await press(/^Put on a day ?: Five past/);
  expect(await choose(2)).not.toContain('beside');
  const third = on('Five past, planned')!;
  expect([on('Half past, planned'), on('Quarter past, planned')]).toEqual([half, quarter]);
  await press(third);
  await press(/^Move to … .*Five past/);
  expect(await choose(0)).toContain('beside “Half past”');
  expect(on('Five past, planned')).toContain('today');
  await press(on('Half past, planned')!);
  expect(textOf(page.querySelector('zp-day-panel')!)).toContain('Beside it: “Five past”');
  await press('Undo in the plan');
  expect(on('Five past, planned')).toBe(third);
  const plan = { ...PLANNED, beside: [{ lessonId: 'l3', date: daysOn(TODAY, 2) }] };
  await until(() => sameJson((server.sent(SAVE).at(-1) as { plan: ClassPlan } | undefined)?.plan, plan));
});

test('what is drafted with a day to come chosen is put on it; what a change moves is said before it is made', async () => {
  const { press, page, dayOf: on } = await open(PLANNED);
  server.on(DRAFT, {});
  await press(on('Quarter past, planned')!);
  await press(/^Draft it for /);
  await until(() => server.sent(SAVE).length > 0);
  const [{ id }] = server.sent(DRAFT) as [{ id: string }];
  expect(server.sent(SAVE).at(-1)).toMatchObject({ plan: { series, beside: [{ lessonId: id, date: daysOn(TODAY, 1) }] } });
  const panel = page.querySelector('zp-day-panel')!;
  expect(panel.textContent).toContain('Not held: the rest moves on');
  const described = [...panel.querySelectorAll('[aria-describedby]')].map((one) => document.getElementById(one.getAttribute('aria-describedby')!)?.textContent ?? ''); // prettier-ignore
  expect(described.some((words) => /“Quarter past” goes to /.test(words))).toBe(true);
});

test('a day on which a lesson was given says so and leads to its review', async () => {
  const createdAtMs = Date.now();
  const session = {
    id: 's1',
    lessonId: 'l1',
    classId: 'c1',
    title: 'Half past',
    className: 'Terns',
    phase: 'ended',
    createdAtMs,
    endedAtMs: createdAtMs,
  };
  const { page, find, dayOf: on } = await open(PLANNED, LESSONS, [{ ...session, participantCount: 2, responseCount: 0 }]);
  expect(on('Half past, given')).toContain('today');
  expect(textOf(page.querySelector('zp-day-panel')!)).toContain('“Half past” was given.');
  expect(find.getByRole('link', { name: 'Review the lesson of this day' }).getAttribute('href')).toBe('/review/s1');
  expect(find.queryByRole('button', { name: /lesson of this day/ })).toBeNull();
  expect(find.getByText('“Quarter past” is planned', { exact: false })).toBeTruthy();
});

test('a series is drafted lesson by lesson, each for its place, and can be stopped; what is drafted is planned', async () => {
  const { press, page, find, settled } = await open({ ...NEW_PLAN, schoolDays: EVERY_DAY });
  const arrive: (() => void)[] = [];
  server.on(DRAFT, () => new Promise<object>((resolve) => arrive.push(() => resolve({}))));
  page.querySelector('details')!.open = true;
  fireEvent.change(find.getByRole('combobox', { name: 'From' }), { target: { value: 'quarter-past' } });
  await settled();
  fireEvent.change(find.getByRole('combobox', { name: 'to' }), { target: { value: 'quarter-to' } });
  await settled();
  await press('Draft 4 lessons');
  for (let lesson = 1; lesson <= 3; lesson++) {
    await until(() => arrive.length === lesson);
    if (lesson === 3) await press('Stop');
    arrive[lesson - 1]!();
  }
  await until(() => textOf(page).includes('Stopped: 3 of 4 lessons are drafted and planned.'));
  const wishes = server.sent(DRAFT) as { id: string; rung: string; between: object; minutes: number; classId: string }[];
  expect(wishes.map(({ rung }) => rung)).toEqual(['quarter-past', 'quarter-past', 'quarter-to']);
  expect(wishes[1]).toMatchObject({ classId: 'c1', minutes: 20, between: { before: 'quarter-past', after: 'quarter-to' } });
  await until(() => server.sent(SAVE).length > 0);
  expect(server.sent(SAVE).at(-1)).toMatchObject({ plan: { series: { startsOn: TODAY, lessonIds: wishes.map(({ id }) => id) } } });
});

test('a plan that was changed in another window is not overwritten, and can be shown', async () => {
  const { press, page } = await open(PLANNED);
  server.on(SAVE, new Refusal('PLAN_CHANGED', 'The plan of Terns was changed meanwhile, from another window. Nothing was overwritten.'));
  await press('Day off');
  await until(() => textOf(page).includes('Nothing was overwritten.'));
  await press('Show the plan as it is now');
  await until(() => !textOf(page).includes('Nothing was overwritten.'));
});

describe('daily cards', () => {
  const begin = async (text: string) => {
    const { component, find, press } = await render(CardsPanel, { plan: NEW_PLAN, classId: 'c1', today: TODAY }, [provideRouter([])]);
    const edits = heard<PlanEdit>((component as CardsPanel).edit);
    fireEvent.input(find.getByPlaceholderText(/8:00/), { target: { value: text } });
    await press('Begin today');
    return { cards: edits[0]?.(NEW_PLAN).cards ?? null, problem: find.queryByRole('alert')?.textContent ?? null };
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

  test('missed cards are told and shown together', async () => {
    const cards = { pattern: { firstSec: 28_800, stepsMin: [30] }, startsOn: daysOn(TODAY, -4), shown: 2 };
    const plan: ClassPlan = { ...NEW_PLAN, schoolDays: EVERY_DAY, cards };
    const { find, page, setInputs } = await render(CardsPanel, { plan, classId: 'c1', today: TODAY }, [provideRouter([])]);
    expect(textOf(page)).toContain('Card 5 is due, and 2 before it were missed.');
    expect(find.getByRole('link', { name: 'Show cards 3 to 5' }).getAttribute('href')).toBe('/cards/c1');
    await setInputs({ plan: { ...plan, cards: { ...cards, shown: 5 } } });
    expect(textOf(page)).toContain('Card 5 was shown.');
  });
});

test('the class’s own times are kept as they are meant; a line without a time is named', async () => {
  const { component, find, press } = await render(OwnDay, { plan: NEW_PLAN });
  const edits = heard<PlanEdit>((component as OwnDay).edit);
  const write = (text: string) => fireEvent.input(find.getByRole('textbox'), { target: { value: text } });
  write('the mail boat');
  await press('Keep these times');
  expect(find.getByRole('alert').textContent).toContain('Line 1');
  write('7:45 school ferry\nhalf past 4 mail boat');
  await press('Keep these times');
  expect(edits.map((edit) => edit(NEW_PLAN).daily)).toEqual([
    [
      { atSec: 27_900, text: 'school ferry' },
      { atSec: 59_400, text: 'mail boat' },
    ],
  ]);
});
