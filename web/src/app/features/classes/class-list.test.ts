import { provideRouter } from '@angular/router';
import { provideState, provideStore } from '@ngrx/store';
import { fireEvent } from '@testing-library/dom';
import type { ClassDetail, ClassPupil } from '@zeitpunkt/contract';
import { authFeature } from '../../state/auth';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { render, textOf } from '../../testing/render';
import { ClassListPlace } from './class-list';

const pupil = (name: string, change: Partial<ClassPupil> = {}): ClassPupil => ({
  id: `p-${name}`,
  name,
  reference: null,
  leftAtMs: null,
  cardAtMs: null,
  responseCount: 2,
  ...change,
});
const terns = (...pupils: ClassPupil[]): ClassDetail => ({ id: 'c1', name: 'Terns', keepDays: 400, pupils });
const START = terns(pupil('Anouk'), pupil('Bo'));
let server: FakeServer;

async function open() {
  // jsdom has no dialogs that open.
  HTMLDialogElement.prototype.showModal = function () {
    this.open = true;
  };
  HTMLDialogElement.prototype.close = function () {
    this.open = false;
  };
  server = new FakeServer({
    'GET /api/classes/c1': START,
    'GET /api/classes': [
      { id: 'c1', name: 'Terns', pupilCount: 2 },
      { id: 'c2', name: 'Gannets', pupilCount: 0 },
    ],
    'GET /api/classes/c1/record': [],
  });
  const screen = await render(ClassListPlace, { id: 'c1' }, [provideRouter([]), provideStore(), provideState(authFeature)]);
  const turn = async () => {
    for (let times = 0; times < 3; times++) {
      await new Promise((resolve) => setTimeout(resolve));
      await screen.settled();
    }
  };
  await turn();
  const field = (name: string) => screen.find.getByRole<HTMLInputElement>('textbox', { name });
  const change = async (element: HTMLElement, value: string) => {
    fireEvent.change(element, { target: { value } });
    await turn();
  };
  const pick = (name: string, value: string) => change(screen.find.getByRole('combobox', { name }), value);
  return { ...screen, turn, field, change, pick };
}

test('a name is put right where it stands; one that is taken goes back to what it was', async () => {
  const { change, field, find } = await open();
  server.on('POST /api/classes/c1/pupils/p-Anouk/change', terns({ ...pupil('Anouk'), name: 'Anouk L' }, pupil('Bo')));
  await change(field('Name of Anouk'), ' Anouk L ');
  expect(server.sent('POST /api/classes/c1/pupils/p-Anouk/change')).toEqual([{ name: 'Anouk L' }]);
  expect(find.getByRole('status').textContent).toBe('Anouk is Anouk L from now on.');
  server.on('POST /api/classes/c1/pupils/p-Bo/change', new Refusal('NAME_TAKEN', 'Anouk L is in this class already.'));
  await change(field('Name of Bo'), 'Anouk L');
  expect(find.getByRole('alert').textContent).toBe('Anouk L is in this class already.');
  expect(field('Name of Bo').value).toBe('Bo');
  await change(field('Name of Bo'), '   ');
  expect([field('Name of Bo').value, server.sent('POST /api/classes/c1/pupils/p-Bo/change').length]).toEqual(['Bo', 1]);
});

test('what cannot be undone is done only when that is said once more: deleting, and making two pupils one', async () => {
  const { find, press, turn, pick } = await open();
  const [remove, merge] = ['POST /api/classes/c1/pupils/p-Bo/delete', 'POST /api/classes/c1/pupils/p-Bo/merge'];
  server.on(remove, terns(pupil('Anouk')));
  server.on(merge, terns(pupil('Anouk', { responseCount: 4 })));
  await press('More about Bo');
  await press('Delete with all answers');
  expect(textOf(find.getByRole('dialog', { name: 'Delete Bo?' }))).toContain('all 2 answers');
  find.getByRole('dialog', { name: 'Delete Bo?' }).querySelector('button')!.click(); // keep
  await pick('Is the same as', 'p-Anouk');
  expect(find.getByRole('dialog', { name: 'Are Bo and Anouk the same pupil?' })).toBeTruthy();
  expect([server.sent(remove), server.sent(merge)]).toEqual([[], []]);
  await press('They are');
  await turn();
  expect(server.sent(merge)).toEqual([{ into: 'p-Anouk' }]);
  expect(find.getAllByRole('textbox', { name: /^Name of/ })).toHaveLength(2); // the class, and Anouk
});

test('a new pupil is added at the end, and the field is free for the next', async () => {
  const { find, turn, field } = await open();
  server.on('POST /api/classes/c1/pupils', terns(...START.pupils, pupil('Marit')));
  field('New pupil').value = 'Marit';
  find.getByRole('button', { name: 'Add' }).click();
  await turn();
  expect(server.sent('POST /api/classes/c1/pupils')).toMatchObject([{ pupils: [{ name: 'Marit', reference: null }] }]);
  expect([find.getAllByRole('textbox', { name: /^Name of/ }).length, field('New pupil').value]).toEqual([4, '']);
});

test('keeping answers for less time says first what it deletes, and changes nothing until that is said once more', async () => {
  const { find, press, turn, pick } = await open();
  server.on('GET /api/classes/c1/retention/30', { sessions: 3, responses: 71 });
  server.on('GET /api/classes/c1/retention/200', { sessions: 0, responses: 0 });
  server.on('POST /api/classes/c1/change', (change: object) => ({ ...START, ...change }));
  await pick('Answers are deleted', '200');
  expect(server.sent('POST /api/classes/c1/change')).toEqual([{ keepDays: 200 }]);
  await pick('Answers are deleted', '30');
  expect(textOf(find.getByRole('dialog', { name: 'Delete old answers now?' }))).toContain(
    '3 lessons are older than 30 days: with 71 answers',
  );
  expect(server.sent('POST /api/classes/c1/change')).toHaveLength(1);
  await press('Delete them');
  await turn();
  expect(server.sent('POST /api/classes/c1/change').at(-1)).toEqual({ keepDays: 30 });
});

test('a list is looked at before it is taken in: which column is what, who is new, and why a row is not taken', async () => {
  const { find, press, turn, pick, page } = await open();
  const rows = [
    ['Vorname', 'Gruppe'],
    ['Marit', 'A'],
    ['Bo', 'A'],
    ['', 'A'],
    ['Ivo', 'B'],
  ].map((cells, index) => ({ line: index + 1, cells }));
  server.on('POST /api/roster-files', { encoding: 'Windows-1252', rows });
  await press('Take in a list');
  const field = find.getByLabelText<HTMLInputElement>('List of pupils');
  fireEvent.change(field, { target: { files: [new File(['x'], 'list.csv')] } });
  await turn();
  const read = () => textOf(page.querySelector('zp-roster-import')!);
  expect(read()).toContain(
    '2 new Marit Ivo 1 in the class already; they stay as they are. 1 not taken Line 4: There is no name in this row.',
  );
  expect(read()).toContain('read as Western European');
  await pick('Only rows where', '1');
  expect(read()).toContain('1 new Marit 1 in the class');
  server.on('POST /api/classes/c1/pupils', terns(...START.pupils, pupil('Marit')));
  await press('Take 1 pupil into the class');
  await turn();
  expect(server.sent('POST /api/classes/c1/pupils')).toMatchObject([{ pupils: [{ name: 'Marit', reference: null }] }]);
  expect(page.querySelector('zp-roster-import')).toBeNull();
});
