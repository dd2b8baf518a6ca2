import { MAT_DIALOG_DATA, MatDialogRef } from '@angular/material/dialog';
import { provideState, provideStore, Store } from '@ngrx/store';
import { TestBed } from '@angular/core/testing';
import { authActions, authFeature } from '../../state/auth';
import { FakeServer } from '../../testing/fake-server';
import { heard, render, textOf, until } from '../../testing/render';
import { HandOver } from './hand-over';

const person = (id: string, name: string) => ({ id, name, classes: [], isFirst: false, secondFactor: false, seenAtMs: null });
const ME = person('t1', 'Ms Odalys Fenn');

async function open(check: object, teachers = [ME, person('t2', 'Mr Ruan Holm'), person('t3', 'Ms Tilde Marrick')]) {
  const server = new FakeServer({
    'GET /api/staff': { teachers, invitations: [], mayInvite: true },
    'GET /api/classes/c1/hand-over': { lessons: 2, copied: 0, taught: 3, running: false, ...check },
  });
  const close = jest.fn();
  const screen = await render(HandOver, {}, [
    { provide: MAT_DIALOG_DATA, useValue: { id: 'c1', name: 'Terns' } },
    { provide: MatDialogRef, useValue: { close } },
    provideStore(),
    provideState(authFeature),
  ]);
  TestBed.inject(Store).dispatch(authActions.told({ me: { teacher: { id: 't1', name: ME.name }, setUpNeeded: false } }));
  const gone = heard((screen.component as HandOver).gone);
  await until(() => !textOf(screen.page).includes('One moment'));
  return { ...screen, server, close, gone };
}

test('what goes is said, and to whom is chosen', async () => {
  const { page, press, choose, server, close, gone } = await open({ copied: 1 });
  expect(textOf(page)).toContain('2 lessons, and all answers of the 3 lessons that were taught.');
  expect(textOf(page)).toContain('1 lesson is used in another class, too: you keep it');
  server.on('POST /api/classes/c1/hand-over', undefined);
  await choose('To which colleague', 'Ms Tilde Marrick');
  await press('Hand it over');
  await until(() => close.mock.calls.length === 1);
  expect([gone.length, server.sent('POST /api/classes/c1/hand-over')]).toEqual([1, [{ to: 't3' }]]);
});

test('while a lesson runs, and where nobody else teaches, nothing can be handed over', async () => {
  const running = await open({ running: true });
  expect(textOf(running.page)).toContain('End it first.');
  expect(running.find.queryByRole('button', { name: 'Hand it over' })).toBeNull();
});

test('whoever teaches alone is told where colleagues come from', async () => {
  const { page, find } = await open({}, [ME]);
  await until(() => textOf(page).includes('Nobody else teaches here yet.'));
  expect(find.queryByRole('button', { name: 'Hand it over' })).toBeNull();
});
