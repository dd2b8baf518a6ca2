import { provideRouter } from '@angular/router';
import { provideState, provideStore } from '@ngrx/store';
import { fireEvent } from '@testing-library/dom';
import { authFeature } from '../../state/auth';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { render } from '../../testing/render';
import { ClassListPlace } from './class-list';

const pupils = ['Anouk', 'Bo'].map((name) => ({ id: `p-${name}`, name }));
let server: FakeServer;
async function open() {
  // jsdom has no dialogs that open.
  HTMLDialogElement.prototype.showModal = function () {
    this.open = true;
  };
  HTMLDialogElement.prototype.close = function () {
    this.open = false;
  };
  server = new FakeServer({ 'GET /api/classes/c1': { id: 'c1', name: 'Terns', pupils } });
  const screen = await render(ClassListPlace, { id: 'c1' }, [provideRouter([]), provideStore(), provideState(authFeature)]);
  const turn = async () => {
    await new Promise((resolve) => setTimeout(resolve));
    await screen.settled();
  };
  await turn();
  const field = (name: string) => screen.find.getByRole<HTMLInputElement>('textbox', { name });
  const change = async (name: string, value: string) => {
    fireEvent.change(field(name), { target: { value } });
    await turn();
  };
  return { ...screen, turn, field, change };
}

test('a name is put right where it stands; one that is taken goes back to what it was', async () => {
  const { change, field, find } = await open();
  const renamed = [{ id: 'p-Anouk', name: 'Anouk L' }, pupils[1]];
  server.on('POST /api/classes/c1/pupils/p-Anouk/rename', { id: 'c1', name: 'Terns', pupils: renamed });
  await change('Name of Anouk', ' Anouk L ');
  expect(server.sent('POST /api/classes/c1/pupils/p-Anouk/rename')).toEqual([{ name: 'Anouk L' }]);
  expect(find.getByRole('status').textContent).toBe('Anouk is Anouk L from now on.');
  server.on('POST /api/classes/c1/pupils/p-Bo/rename', new Refusal('NAME_TAKEN', 'Anouk L is in this class already.'));
  await change('Name of Bo', 'Anouk L');
  expect(find.getByRole('alert').textContent).toBe('Anouk L is in this class already.');
  expect(field('Name of Bo').value).toBe('Bo');
  await change('Name of Bo', '   ');
  expect([field('Name of Bo').value, server.sent('POST /api/classes/c1/pupils/p-Bo/rename').length]).toEqual(['Bo', 1]);
});

test('a pupil is deleted only when that is said once more', async () => {
  const { find, press, turn } = await open();
  const url = 'POST /api/classes/c1/pupils/p-Bo/delete';
  server.on(url, { id: 'c1', name: 'Terns', pupils: pupils.slice(0, 1) });
  await press('Delete Bo');
  expect(find.getByRole('dialog', { name: 'Delete Bo?' })).toBeTruthy();
  await press('Keep');
  expect(server.sent(url)).toEqual([]);
  await press('Delete Bo');
  await press('Delete');
  await turn();
  expect(server.sent(url)).toHaveLength(1);
  expect(find.getAllByRole('textbox', { name: /^Name of/ })).toHaveLength(1);
});

test('a new pupil is added at the end, and the field is free for the next', async () => {
  const { find, turn, field } = await open();
  server.on('POST /api/classes/c1/pupils', { id: 'c1', name: 'Terns', pupils: [...pupils, { id: 'p-Marit', name: 'Marit' }] });
  field('New pupil').value = 'Marit';
  find.getByRole('button', { name: 'Add' }).click();
  await turn();
  expect(server.sent('POST /api/classes/c1/pupils')).toMatchObject([{ name: 'Marit' }]);
  expect([find.getAllByRole('textbox').length, field('New pupil').value]).toEqual([4, '']);
});
