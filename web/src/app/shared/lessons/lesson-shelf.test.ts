import { TestBed } from '@angular/core/testing';
import { LESSON, lessonOf } from '../../testing/course';
import { FakeServer } from '../../testing/fake-server';
import { LessonShelf } from './lesson-shelf';

test('a lesson that was just taken in stays, though a list that was asked for before it comes after it', async () => {
  let answerOld: (list: unknown) => void = () => undefined;
  const lists: unknown[] = [new Promise((resolve) => (answerOld = resolve)), [LESSON, lessonOf('new', 'Quarters')]];
  new FakeServer({ 'GET /api/lessons': () => lists.shift(), 'GET /api/sessions': [], 'POST /api/lessons/files': undefined });
  TestBed.configureTestingModule({ providers: [LessonShelf] });
  const shelf = TestBed.inject(LessonShelf);
  const loaded = shelf.load();
  const file = { name: 'q.lesson.json', size: 2, arrayBuffer: async () => new TextEncoder().encode('{}').buffer } as unknown as File;
  await shelf.takeFile(file);
  answerOld([LESSON]);
  await loaded;
  expect(shelf.lessons().map(({ title }) => title)).toEqual([LESSON.title, 'Quarters']);
});
