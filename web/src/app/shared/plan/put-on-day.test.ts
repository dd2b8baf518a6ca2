import { NEW_PLAN, type ClassPlan } from '@zeitpunkt/core/series/plan';
import { dayOf, daysOn } from '@zeitpunkt/core/series/school-days';
import { Component } from '@angular/core';
import { MatMenuTrigger } from '@angular/material/menu';
import { fireEvent, within } from '@testing-library/dom';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { render, textOf, until } from '../../testing/render';
import { PutOnDay } from './put-on-day';

const TODAY = dayOf(Date.now());
const SAVE = 'POST /api/classes/c1/plan';
const EVERY_DAY: ClassPlan = { ...NEW_PLAN, schoolDays: [1, 2, 3, 4, 5, 6, 7], beside: [{ lessonId: 'other', date: TODAY }] };

@Component({
  imports: [MatMenuTrigger, PutOnDay],
  template: `
    <button type="button" [matMenuTriggerFor]="days.menu()" [matMenuTriggerData]="{ of: 'mine' }" (menuOpened)="days.load()">
      {{ press }}
    </button>
    <zp-put-on-day #days />
  `,
})
class Page {
  protected readonly press = 'Put on a day';
}

/** Menus open over the page. */
const menu = within(document.body);

async function open() {
  let saved = 4;
  const server = new FakeServer({
    'GET /api/classes': [{ id: 'c1', name: 'Terns', pupilCount: 26 }],
    'GET /api/lessons': [{ id: 'other', title: 'Half past' }],
    'GET /api/classes/c1/plan': { revision: saved, plan: EVERY_DAY },
    [SAVE]: () => ({ revision: (saved += 1) }),
  });
  const screen = await render(Page);
  await screen.press('Put on a day');
  await until(() => menu.queryAllByRole('menuitem').length > 1);
  return { ...screen, server };
}

test('a lesson is put on a school day of the class, beside what stands there, and that can be undone', async () => {
  const { server } = await open();
  const items = menu.getAllByRole('menuitem').map(textOf);
  expect(items[0]).toContain('beside “Half past”');
  fireEvent.click(menu.getAllByRole('menuitem')[1]!);
  await until(() => server.sent(SAVE).length === 1);
  expect(server.sent(SAVE)[0]).toMatchObject({ revision: 4, plan: { beside: [...EVERY_DAY.beside, { lessonId: 'mine', date: daysOn(TODAY, 1) }] } }); // prettier-ignore
  await until(() => document.querySelector('mat-snack-bar-container') !== null);
  document.querySelector<HTMLButtonElement>('mat-snack-bar-container button')!.click();
  await until(() => server.sent(SAVE).length === 2);
  expect(server.sent(SAVE)[1]).toEqual({ revision: 5, plan: EVERY_DAY });
});

test('a plan that was changed meanwhile is not overwritten, and the reason is said', async () => {
  const { server } = await open();
  server.on(SAVE, new Refusal('PLAN_CHANGED', 'The plan of Terns was changed meanwhile, from another window. Nothing was overwritten.'));
  fireEvent.click(menu.getAllByRole('menuitem')[1]!);
  await until(() => document.body.textContent!.includes('Nothing was overwritten.'));
});
