import { provideRouter } from '@angular/router';
import { provideState, provideStore } from '@ngrx/store';
import { fireEvent, within } from '@testing-library/dom';
import type { ClassDetail, ClassPupil } from '@zeitpunkt/contract';
import { authFeature } from '../../state/auth';
import { NO_STANDING } from '../../testing/course';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { render, textOf, until } from '../../testing/render';
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
/** Menus and dialogs open over the page. */
const over = within(document.body);
let server: FakeServer;

async function open(detail: ClassDetail = START, standing: object = NO_STANDING) {
  server = new FakeServer({
    'GET /api/classes/c1': detail,
    'GET /api/classes': [
      { id: 'c1', name: 'Terns', pupilCount: 2 },
      { id: 'c2', name: 'Gannets', pupilCount: 0 },
    ],
    'GET /api/classes/c1/record': [],
    'GET /api/classes/c1/standing': standing,
    'GET /api/addresses': ['http://10.0.0.2:4000'],
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
  const item = async (name: string | RegExp) => {
    fireEvent.click(over.getByRole('menuitem', { name }));
    await turn();
  };
  const pick = async (select: string, option: string | RegExp) => {
    fireEvent.click(over.getByRole('combobox', { name: select }));
    await turn();
    fireEvent.click(over.getByRole('option', { name: option }));
    await turn();
  };
  const answer = async (name: string) => {
    fireEvent.click(over.getByRole('button', { name }));
    await until(() => document.querySelector('mat-dialog-container') === null);
    await turn();
  };
  return { ...screen, turn, field, change, item, pick, answer };
}

test('names are put right where that is asked for; one that is taken goes back to what it was', async () => {
  const { change, field, find, press } = await open();
  expect(find.queryByRole('textbox')).toBeNull();
  await press('Edit names');
  server.on('POST /api/classes/c1/pupils/p-Anouk/change', terns({ ...pupil('Anouk'), name: 'Anouk L' }, pupil('Bo')));
  await change(field('Name of Anouk'), ' Anouk L ');
  expect(server.sent('POST /api/classes/c1/pupils/p-Anouk/change')).toEqual([{ name: 'Anouk L' }]);
  expect(find.getByText('Anouk is Anouk L from now on.')).toBeTruthy();
  server.on('POST /api/classes/c1/pupils/p-Bo/change', new Refusal('NAME_TAKEN', 'Anouk L is in this class already.'));
  await change(field('Name of Bo'), 'Anouk L');
  expect(find.getByRole('alert').textContent).toBe('Anouk L is in this class already.');
  expect(field('Name of Bo').value).toBe('Bo');
  await change(field('Name of Bo'), '   ');
  expect([field('Name of Bo').value, server.sent('POST /api/classes/c1/pupils/p-Bo/change').length]).toEqual(['Bo', 1]);
});

test('whether everybody can come in is told by name, and who was seen when, with the rung that is reached', async () => {
  const nowMs = Date.now();
  const { page, find } = await open(
    terns(pupil('Anouk', { cardAtMs: nowMs - 9e8 }), pupil('Bo', { cardAtMs: nowMs - 1e8 }), pupil('Ceri')),
    { ...NO_STANDING, pupils: [{ id: 'p-Anouk', rung: 'half-past', lastMs: nowMs }] },
  );
  expect(textOf(page.querySelector('zp-can-come-in')!)).toContain('1 come in by card 1 card not used yet 1 have no card Ceri has no card.');
  expect(find.getByRole('link', { name: 'Make 1 card' }).getAttribute('href')).toBe('/classes/c1/cards');
  const row = find.getByRole('row', { name: /Anouk/ });
  expect(within(row).getByRole('img', { name: 'Reached: Half past' })).toBeTruthy();
  expect(textOf(row)).toMatch(/has a card today \d/);
  expect(textOf(find.getByRole('row', { name: /Bo/ }))).toContain('not used yet not yet');
});

test('what cannot be undone is done only when that is said once more: deleting, and making two pupils one', async () => {
  const { press, item, answer } = await open();
  const [remove, merge] = ['POST /api/classes/c1/pupils/p-Bo/delete', 'POST /api/classes/c1/pupils/p-Bo/merge'];
  server.on(remove, terns(pupil('Anouk')));
  server.on(merge, terns(pupil('Anouk', { responseCount: 4 })));
  await press('More about Bo');
  await item(/^Delete with all answers/);
  expect(textOf(over.getByRole('dialog', { name: 'Delete Bo?' }))).toContain('all 2 answers');
  await answer('Keep');
  await press('More about Bo');
  await item(/^Is the same as/);
  await item('Anouk');
  expect(over.getByRole('dialog', { name: 'Are Bo and Anouk the same pupil?' })).toBeTruthy();
  expect([server.sent(remove), server.sent(merge)]).toEqual([[], []]);
  await answer('They are');
  await until(() => server.sent(merge).length === 1);
  expect(server.sent(merge)).toEqual([{ into: 'p-Anouk' }]);
});

test('names are typed one on each line; twice the same is said before it is sent', async () => {
  const { press, item, type, turn } = await open();
  server.on('POST /api/classes/c1/pupils', terns(...START.pupils, pupil('Marit'), pupil('Ivo')));
  await press('Add pupils');
  await item(/^Type names/);
  await until(() => over.queryByLabelText('Names, one on each line') !== null);
  await type(over.getByLabelText('Names, one on each line'), 'Marit\nMarit\n');
  expect(textOf(over.getByRole('alert'))).toContain('Marit stands there twice');
  await type(over.getByLabelText('Names, one on each line'), ' Marit \n\nIvo');
  fireEvent.click(over.getByRole('button', { name: 'Add 2 pupils' }));
  await turn();
  expect(server.sent('POST /api/classes/c1/pupils')).toMatchObject([{ pupils: [{ name: 'Marit', reference: null }, { name: 'Ivo' }] }]);
});

test('keeping answers for less time says first what it deletes, and changes nothing until that is said once more', async () => {
  const { pick, answer } = await open();
  server.on('GET /api/classes/c1/retention/30', { sessions: 3, responses: 71 });
  server.on('GET /api/classes/c1/retention/200', { sessions: 0, responses: 0 });
  server.on('POST /api/classes/c1/change', (change: object) => ({ ...START, ...change }));
  await pick('Answers are deleted', 'after 200 days');
  expect(server.sent('POST /api/classes/c1/change')).toEqual([{ keepDays: 200 }]);
  await pick('Answers are deleted', 'after 30 days');
  expect(textOf(over.getByRole('dialog', { name: 'Delete old answers now?' }))).toContain(
    '3 lessons are older than 30 days: with 71 answers',
  );
  expect(server.sent('POST /api/classes/c1/change')).toHaveLength(1);
  await answer('Delete them');
  await until(() => server.sent('POST /api/classes/c1/change').length === 2);
  expect(server.sent('POST /api/classes/c1/change').at(-1)).toEqual({ keepDays: 30 });
});

test('a list is looked at before it is taken in: which column is what, who is new, and why a row is not taken', async () => {
  const { press, item, turn, pick } = await open();
  const rows = [
    ['Vorname', 'Gruppe'],
    ['Marit', 'A'],
    ['Bo', 'A'],
    ['', 'A'],
    ['Ivo', 'B'],
  ].map((cells, index) => ({ line: index + 1, cells }));
  server.on('POST /api/roster-files', { encoding: 'Windows-1252', rows });
  await press('Add pupils');
  await item(/^Take in a list/);
  await until(() => over.queryByLabelText('List of pupils') !== null);
  fireEvent.change(over.getByLabelText('List of pupils'), { target: { files: [new File(['x'], 'list.csv')] } });
  await until(() => over.queryByRole('combobox', { name: 'Only rows where' }) !== null);
  const read = () => textOf(document.querySelector('zp-roster-import')!);
  expect(read()).toContain(
    '2 new Marit Ivo 1 in the class already; they stay as they are. 1 not taken Line 4: There is no name in this row.',
  );
  expect(read()).toContain('read as Western European');
  await pick('Only rows where', /^2:/);
  expect(read()).toContain('1 new Marit 1 in the class');
  server.on('POST /api/classes/c1/pupils', terns(...START.pupils, pupil('Marit')));
  fireEvent.click(over.getByRole('button', { name: 'Take 1 pupil into the class' }));
  await turn();
  expect(server.sent('POST /api/classes/c1/pupils')).toMatchObject([{ pupils: [{ name: 'Marit', reference: null }] }]);
  await until(() => document.querySelector('zp-roster-import') === null);
});
