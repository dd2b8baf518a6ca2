import { Component, inject } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { fireEvent } from '@testing-library/dom';
import { NEW_PLAN, type ClassPlan } from '@zeitpunkt/core/series/plan';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { render, textOf, until } from '../../testing/render';
import { PlanFiles } from './plan-files';
import { PlanStore } from '../../shared/plan/plan-store';
import { MAT_DIALOG_DATA } from '@angular/material/dialog';

const LOOK = 'POST /api/calendars/look';
const LABEL = 'Days off from a calendar file';
const FILE = new File(['BEGIN:VCALENDAR'], 'holidays.ics');
/** A Friday, a Saturday, and two days of the next week. */
const FOUND = {
  days: [
    { date: '2026-12-04', name: 'Lamp day' },
    { date: '2026-12-05', name: 'Market' },
    { date: '2026-12-07', name: 'Boat race' },
    { date: '2026-12-08', name: 'Storm' },
  ],
  left: [{ name: 'Choir', why: 'It has a time of day: only whole days are days off.' }],
};

/** The place that it stands in has a plan before it shows it. */
@Component({ imports: [PlanFiles], template: '@if (plans.at()) {<zp-plan-files />}' })
class WithPlan {
  protected readonly plans = inject(PlanStore);
}

async function open(plan: ClassPlan) {
  const server = new FakeServer({
    'GET /api/classes/c1/plan': { revision: 4, plan },
    'POST /api/classes/c1/plan': { revision: 5 },
    [LOOK]: FOUND,
  });
  const screen = await render(WithPlan, {}, [PlanStore, { provide: MAT_DIALOG_DATA, useExisting: PlanStore }]);
  const plans = TestBed.inject(PlanStore);
  await plans.load('c1');
  await screen.settled();
  return { ...screen, server, plans };
}

test('school days of a calendar that are not off yet become days off as they are ticked, and one press undoes it', async () => {
  const { find, page, press, chooseFile, settled, plans } = await open({ ...NEW_PLAN, daysOff: ['2026-12-07'] });
  expect(find.getByRole('link', { name: 'Planned lessons (iCalendar)' }).getAttribute('href')).toBe('/api/classes/c1/lessons.ics');
  await chooseFile(LABEL, FILE);
  await until(() => find.queryAllByRole('checkbox').length > 0);
  const offered = find.getAllByRole('checkbox').map((box) => textOf(box.closest('mat-checkbox')!));
  expect(offered.map((words) => words.replace(/^.*: /, ''))).toEqual(['Lamp day', 'Storm']);
  expect(textOf(page)).toContain('2 school days of this plan are named in it.');
  expect(textOf(page)).toContain('1 left out Choir: It has a time of day');
  fireEvent.click(find.getAllByRole('checkbox')[0]!);
  await settled();
  await press('Make 1 day off');
  expect(plans.plan().daysOff).toEqual(['2026-12-07', '2026-12-08']);
  expect(textOf(page)).toContain('1 day is off now; the lessons after moved on.');
  plans.undo();
  expect(plans.plan().daysOff).toEqual(['2026-12-07']);
});

test('a file that names nothing, and one that is no calendar, change nothing and say so', async () => {
  const { find, page, chooseFile, server, plans } = await open(NEW_PLAN);
  server.on(LOOK, { days: [FOUND.days[1]], left: [] });
  await chooseFile(LABEL, FILE);
  await until(() => textOf(page).includes('No school day of this plan is named in it'));
  expect(find.queryByRole('button', { name: /days? off$/ })).toBeNull();
  server.on(LOOK, new Refusal('FILE_UNREADABLE', 'This is no calendar file (iCalendar).', 400));
  await chooseFile(LABEL, FILE);
  await until(() => find.queryByRole('alert') !== null);
  expect(textOf(find.getByRole('alert'))).toBe('This is no calendar file (iCalendar). Nothing was changed.');
  expect(plans.plan()).toEqual(NEW_PLAN);
});
