import { MAT_DIALOG_DATA, MatDialogRef } from '@angular/material/dialog';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { heard, render, textOf, until } from '../../testing/render';
import { CloseAccount } from './close-account';

const person = (id: string, name: string) => ({ id, name, classes: [], isFirst: id === 't1', secondFactor: false, seenAtMs: null });
const STAFF = { teachers: [person('t1', 'Ms Odalys Fenn'), person('t2', 'Mr Ruan Holm')], invitations: [], mayInvite: true };

async function open(left: object) {
  const server = new FakeServer({ 'GET /api/staff': STAFF, 'GET /api/staff/t2/closing': left });
  const close = jest.fn();
  const screen = await render(CloseAccount, {}, [
    { provide: MAT_DIALOG_DATA, useValue: { id: 't2', name: 'Mr Ruan Holm' } },
    { provide: MatDialogRef, useValue: { close } },
  ]);
  const closed = heard((screen.component as CloseAccount).closed);
  await until(() => server.sent('GET /api/staff/t2/closing').length === 1 && !textOf(screen.page).includes('One moment'));
  return { ...screen, server, close, closed };
}

test('with classes in it an account stays open, and which they are is said', async () => {
  const { page, find } = await open({ classes: [{ id: 'c1', name: 'Puffins', pupils: 3 }], lessons: 2, dials: 0 });
  expect(textOf(page)).toContain('must go to a colleague, or be deleted, before: Puffins.');
  expect(find.queryByRole('button', { name: 'Close the account' })).toBeNull();
});

test('lessons and dials go to a colleague unless nobody is chosen; what the server says is shown, and nothing is closed', async () => {
  const { page, find, press, choose, server, close, closed } = await open({ classes: [], lessons: 2, dials: 1 });
  expect(textOf(page)).toContain('2 lessons and 1 dial are in it.');
  expect(textOf(find.getByRole('combobox', { name: 'They go to' }))).toContain('Ms Odalys Fenn');
  server.on('POST /api/staff/t2/close', new Refusal('ACCOUNT_IN_USE', 'Mr Ruan Holm still has classes.'));
  await press('Close the account');
  await until(() => find.queryByRole('alert') !== null);
  expect([closed.length, close.mock.calls.length]).toEqual([0, 0]);
  server.on('POST /api/staff/t2/close', undefined);
  await choose('They go to', /nobody/);
  await press('Close the account');
  await until(() => close.mock.calls.length === 1);
  expect([closed.length, server.sent('POST /api/staff/t2/close')]).toEqual([1, [{ lessonsTo: 't1' }, { lessonsTo: null }]]);
});
