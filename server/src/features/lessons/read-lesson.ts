import { CoreError, prepareLesson, type Lesson } from '@zeitpunkt/core';
import { LessonSchema } from '@zeitpunkt/contract';
import { fitsOf } from '../../http/fits.js';
import { whatIsWrong } from '../../http/what-is-wrong.js';

/**
 * A lesson from the outside, checked by its schema and by what a schema cannot tell.
 * @throws CoreError LESSON_UNREADABLE with the path, or what prepareLesson throws
 */
export function readLesson(file: unknown): Lesson {
  const fits = fitsOf<Lesson>(LessonSchema);
  if (!fits(file)) throw new CoreError('LESSON_UNREADABLE', whatIsWrong('The lesson file', fits.errors));
  prepareLesson(file);
  return file;
}
