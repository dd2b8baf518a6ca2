import { signal } from '@angular/core';
import { MAT_DIALOG_DATA, MatDialogRef } from '@angular/material/dialog';
import { fireEvent } from '@testing-library/dom';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import type { Item } from '@zeitpunkt/core/question-kinds/registry';
import { unzipSync } from 'fflate';
import * as downloads from '../../../shared/download';
import { FakeServer, Refusal } from '../../../testing/fake-server';
import { render, textOf, until } from '../../../testing/render';
import { LessonStore } from '../lesson-store';
import { QuestionPackage, type PackageWanted } from './question-package';

jest.mock('../../../shared/download', () => ({ ...jest.requireActual('../../../shared/download'), download: jest.fn() }));

const LOOK = 'POST /api/lessons/l1/questions/look';
const TAKEN: Item = { id: 'q1', kind: 'write-display', timeSec: 27_000 };
const FOUND = {
  items: [TAKEN],
  taken: [{ file: 'a.xml', kind: 'Write it as a display', stem: 'half past seven', whole: false }],
  left: [{ file: 'b.xml', why: 'Its choices are pictures, and pictures are not read.' }],
};
const ITEMS: Item[] = [
  { id: 'x1', kind: 'write-display', timeSec: 27_000 },
  { id: 'x2', kind: 'set-dial', timeSec: 34_200, from: 'display', hands: 'free' },
];

async function open(items: readonly Item[] = ITEMS) {
  jest.mocked(downloads.download).mockClear();
  const server = new FakeServer({ [LOOK]: FOUND });
  const lesson = { title: 'Pier', items, settings: DEFAULT_SETTINGS } as unknown as Lesson;
  const added: (readonly Item[])[] = [];
  const wanted: PackageWanted = { lessonId: 'l1', add: (items) => added.push(items) };
  const dialog = { close: jest.fn() };
  const screen = await render(QuestionPackage, {}, [
    { provide: LessonStore, useValue: { lesson: signal(lesson) } },
    { provide: MAT_DIALOG_DATA, useValue: wanted },
    { provide: MatDialogRef, useValue: dialog },
  ]);
  const button = (name: RegExp) => [...screen.page.querySelectorAll('button')].find((one) => name.test(one.textContent!));
  return { ...screen, server, button, added, dialog };
}

test('all questions go out as one package, with what other programs would lose said before', async () => {
  const { page, button } = await open();
  expect(textOf(page)).toContain('All 2 questions of this lesson');
  expect(textOf(page)).toMatch(/Elsewhere some of it is lost:.* Question 2: Hands cannot be set there/);
  fireEvent.click(button(/Save the package/)!);
  const [[blob, name]] = jest.mocked(downloads.download).mock.calls as [[Blob, string]];
  expect(name).toBe('Pier-questions.zip');
  const bytes = await new Promise<Uint8Array>((resolve) => {
    const reader = new FileReader();
    reader.onload = () => resolve(new Uint8Array(reader.result as ArrayBuffer));
    reader.readAsArrayBuffer(blob);
  });
  expect(Object.keys(unzipSync(bytes))).toEqual(expect.arrayContaining(['imsmanifest.xml', 'q-x1.xml', 'q-x2.xml']));
});

test('a lesson without questions has nothing to give out', async () => {
  const { page, button } = await open([]);
  expect(textOf(page)).toContain('This lesson asks nothing yet.');
  expect(button(/Save the package/)).toBeUndefined();
});

test('what can be taken and what cannot is said file by file; only a press adds it to the lesson', async () => {
  const { page, button, chooseFile, added, dialog } = await open();
  await chooseFile('Choose a package', new File(['PK'], 'q.zip'));
  await until(() => textOf(page).includes('1 question can be taken, 1 cannot.'));
  expect(textOf(page)).toContain('Write it as a display: half past seven a.xml');
  expect(textOf(page)).toContain('b.xml Its choices are pictures, and pictures are not read.');
  expect(added).toEqual([]);
  fireEvent.click(button(/Add 1 to the lesson/)!);
  expect(added).toEqual([[TAKEN]]);
  expect(dialog.close).toHaveBeenCalled();
});

test('a package that is none changes nothing, and offers nothing of the one before', async () => {
  const { page, button, chooseFile, server } = await open();
  await chooseFile('Choose a package', new File(['PK'], 'q.zip'));
  await until(() => button(/Add 1/) !== undefined);
  server.on(LOOK, new Refusal('FILE_UNREADABLE', 'This is no package of questions: it has no imsmanifest.xml.', 400));
  await chooseFile('Choose a package', new File(['PK'], 'other.zip'));
  await until(() => page.querySelector('[role=alert]') !== null);
  expect(textOf(page.querySelector('[role=alert]')!)).toContain('it has no imsmanifest.xml. Nothing was changed.');
  expect(button(/Add 1/)).toBeUndefined();
});
