import { MAT_DIALOG_DATA, MatDialogRef } from '@angular/material/dialog';
import type { PupilRecord } from '@zeitpunkt/core/paper/family/pupil-record';
import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import { FakeServer } from '../../testing/fake-server';
import { paperWorkers } from '../../testing/paper-workers';
import { render, textOf, until } from '../../testing/render';
import { FamilyFile, type FamilyFileOf } from './family-file';

const DETAIL = { id: 'c1', name: 'Terns', keepDays: 90, pupils: [] };
const LESSON = {
  title: 'Halb',
  taughtAt: '',
  pace: 'live',
  settings: { ...DEFAULT_SETTINGS, pack: 'de' },
  came: [],
  own: null,
  answers: [],
};
const RECORD = { format: 'zeitpunkt-pupil-data', formatVersion: 2, name: 'Odo', lessons: [LESSON] } as unknown as PupilRecord;

async function open(of: FamilyFileOf) {
  const screen = await render(FamilyFile, {}, [
    { provide: MAT_DIALOG_DATA, useValue: of },
    { provide: MatDialogRef, useValue: { close: jest.fn() } },
  ]);
  await until(() => !textOf(screen.page).includes('Fetching'));
  return screen;
}
const saved: string[] = [];
beforeEach(() => {
  saved.length = 0;
  URL.createObjectURL = () => 'blob:file';
  URL.revokeObjectURL = () => undefined;
  jest.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(function (this: HTMLAnchorElement) {
    saved.push(this.download);
  });
});
afterEach(() => jest.restoreAllMocks());
const order = () => paperWorkers.at(-1)!.asked.at(-1);

test('what is kept of a pupil is printed in the language of the lessons, or in one that is chosen', async () => {
  new FakeServer({ 'GET /api/addresses': [], 'GET /api/classes/c1/pupils/p1/export': RECORD });
  const { press, choose, find } = await open({ what: 'pupil', classId: 'c1', pupilId: 'p1', name: 'Odo' });
  await press('Save as PDF');
  expect(order()).toMatchObject({ type: 'make', title: 'What is kept about Odo', order: { wish: { record: RECORD, tongue: 'de' } } });
  paperWorkers.at(-1)!.answer({ type: 'made', number: order()!.number, file: new Blob(['x']), pages: 3, missing: [] });
  await until(() => !find.getByRole<HTMLButtonElement>('button', { name: 'Save as PDF' }).disabled);
  await choose('Language of the page', 'English');
  await press('Save as PDF');
  expect(order()).toMatchObject({ order: { wish: { tongue: 'en' } } });
  await press('Save for programs (JSON)');
  expect(saved).toEqual(['What-is-kept-about-Odo.pdf', 'Odo.json']);
});

test('the page for all families says how long this class and its backups are kept', async () => {
  const status = { each: { to: '/srv', atMin: 1020, most: 14 }, last: { atMs: 1, bytes: 1, sealed: true }, problem: null, running: false };
  new FakeServer({ 'GET /api/addresses': ['https://zeit.school.test'], 'GET /api/backups': status });
  const { press, find } = await open({ what: 'class', detail: DETAIL });
  expect(find.queryByRole('button', { name: /JSON/ })).toBeNull();
  await press('Save as PDF');
  expect(order()).toMatchObject({
    order: {
      wish: {
        kind: 'kept',
        tongue: 'en',
        facts: { className: 'Terns', keepDays: 90, backups: { most: 14, sealed: true }, address: 'https://zeit.school.test' },
      },
    },
  });
});
