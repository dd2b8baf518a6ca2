import { Ajv } from 'ajv';
import { CoreError, prepareLesson, type Lesson } from '@zeitpunkt/core';
import { LessonSchema } from '@zeitpunkt/contract';
import { whatIsWrong } from '../../http/what-is-wrong.js';

const fits = new Ajv({ allErrors: false }).compile<Lesson>(LessonSchema);

/**
 * A lesson from the outside, checked by its schema and by what a schema cannot tell.
 * @throws CoreError LESSON_UNREADABLE with the path, or what prepareLesson throws
 */
export function readLesson(file: unknown): Lesson {
  if (!fits(file)) throw new CoreError('LESSON_UNREADABLE', whatIsWrong('The lesson file', fits.errors));
  prepareLesson(file);
  return file;
}
