import { TestBed } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import { provideState, provideStore } from '@ngrx/store';
import { authFeature } from '../../state/auth';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { render, textOf, until } from '../../testing/render';
import { ClassFromFile } from './class-from-file';

const [LOOK, TAKE] = ['POST /api/archives/look', 'POST /api/archives/take'];
const FOUND = { name: 'Terns', pupils: 26, sessions: 1, answers: 130, lessons: ['Half past'], classId: null };
const zip = (name: string, bytes = 10) => {
  const file = new File(['PK'], name);
  Object.defineProperty(file, 'size', { value: bytes });
  return file;
};

async function open() {
  const server = new FakeServer({ [LOOK]: FOUND, [TAKE]: { ...FOUND, classId: 'c9' }, 'GET /api/classes': [] });
  const screen = await render(ClassFromFile, {}, [provideRouter([]), provideStore(), provideState(authFeature)]);
  const went = jest.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
  return { ...screen, server, went, choose: (file: File) => screen.chooseFile('Choose the file', file) };
}

test('what a file would bring is said before it is taken; then the class is opened', async () => {
  const { page, press, choose, went, server } = await open();
  await choose(zip('terns.zip'));
  await until(() => textOf(page).includes('Terns : 26 pupils, 1 lesson taught with 130 answers.'));
  expect(textOf(page)).toContain('Planned lessons: Half past.');
  expect(server.sent(TAKE)).toEqual([]);
  await press('Take the class in');
  await until(() => went.mock.calls.length > 0);
  expect(went).toHaveBeenCalledWith(['/classes', 'c9', 'pupils']);
});

test('a file that is refused says why, and what was found in the one before cannot be taken for it', async () => {
  const { find, page, choose, server } = await open();
  await choose(zip('terns.zip'));
  await until(() => find.queryByRole('button', { name: 'Take the class in' }) !== null);
  server.on(LOOK, new Refusal('CLASS_UNREADABLE', 'class.json: its version 9 is newer than this server.', 400));
  await choose(zip('gulls.zip'));
  await until(() => find.queryByRole('alert') !== null);
  expect(textOf(find.getByRole('alert'))).toBe('class.json: its version 9 is newer than this server. Nothing was changed.');
  expect(find.queryByRole('button', { name: 'Take the class in' })).toBeNull();
  expect(textOf(page)).not.toContain('26 pupils');
});

test('a file that is too large is not sent', async () => {
  const { find, choose, server } = await open();
  await choose(zip('all.zip', 200 * 2 ** 20));
  expect(textOf(find.getByRole('alert'))).toBe('“all.zip” has 200 MB; such a file may have 48 MB. Nothing was changed.');
  expect(server.asked).toEqual([]);
});

test('looking can be stopped without a word of complaint, and another file takes the place of one that is looked through', async () => {
  const { find, page, press, choose, server } = await open();
  server.on(LOOK, () => new Promise(() => undefined));
  await choose(zip('slow.zip'));
  expect(textOf(page)).toContain('Looking through the file …');
  await press('Stop');
  await until(() => !textOf(page).includes('Looking through'));
  expect(find.queryByRole('alert')).toBeNull();
  await choose(zip('slow.zip'));
  server.on(LOOK, { ...FOUND, name: 'Gulls' });
  await choose(zip('gulls.zip'));
  await until(() => textOf(page).includes('Gulls : 26 pupils'));
  expect(textOf(page)).not.toContain('Looking through');
});

test('a class that is refused when it is taken can be taken again', async () => {
  const { find, press, choose, server, went } = await open();
  await choose(zip('terns.zip'));
  await until(() => find.queryByRole('button', { name: 'Take the class in' }) !== null);
  server.on(TAKE, new Refusal('CLASS_HERE', 'Lessons of Terns are in this school already.'));
  await press('Take the class in');
  await until(() => find.queryByRole('alert') !== null);
  expect(went).not.toHaveBeenCalled();
  server.on(TAKE, { ...FOUND, classId: 'c9' });
  await press('Take the class in');
  await until(() => went.mock.calls.length === 1);
  expect(find.queryByRole('alert')).toBeNull();
});
