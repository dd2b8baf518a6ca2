import { Clip, ClipIn, DraftWish, LessonAdded, LessonFileIn } from '@zeitpunkt/contract';
import { CoreError } from '@zeitpunkt/core/errors';
import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import { randomInt } from 'node:crypto';
import { stored } from '../../db/stored.js';
import type { Feature } from '../../http/feature.js';
import { mustOwnClass } from '../classes/gives.js';
import type { LessonsOptions } from './options.js';
import { insertWritten, lessonById, mustOwnLesson, nextPlace, writtenOut, type WrittenLesson } from './queries.js';

const COPIED = 'Copied beats';
/** What copied beats stand in while they are read. */
const CLIP_LESSON = {
  format: 'zeitpunkt-lesson',
  title: COPIED,
  goal: COPIED,
  successCriteria: [],
  targetMinutes: 1,
  settings: DEFAULT_SETTINGS,
};

/** How lessons come: drafted, or out of files; and beats that were copied elsewhere. */
export const comingLessonRoutes: Feature<LessonsOptions> = async (app, { store, work, requireTeacher, limits }) => {
  const { db } = store;

  /** Adds a lesson at the end of a teacher's list under an id made by whoever asks; there already, it is left as it is. */
  const add = async (teacherId: string, id: string, make: () => WrittenLesson | Promise<WrittenLesson>): Promise<LessonAdded> => {
    const isKnown = () => {
      const known = lessonById(db, id);
      if (known && known.teacherId !== teacherId)
        throw new CoreError('LESSON_CHANGED', 'This lesson id is in use already; please try again.');
      return known !== undefined;
    };
    if (!isKnown()) {
      const written = await make();
      // The same wish may have come again meanwhile.
      if (!isKnown()) insertWritten(db, { id, teacherId, ...written, place: nextPlace(db, teacherId) });
    }
    return { id, revision: mustOwnLesson(db, teacherId, id).revision };
  };

  app.post(
    '/api/lessons/files',
    { schema: { body: LessonFileIn, response: { 200: LessonAdded } }, bodyLimit: limits.lessonBodyBytes },
    (request) => add(requireTeacher(request).id, request.body.id, () => writtenOut(stored.lesson(request.body.file))),
  );

  // Beats that were copied somewhere, of whatever version: read as the lesson that they would be by themselves.
  app.post('/api/clips', { schema: { body: ClipIn, response: { 200: Clip } }, bodyLimit: limits.lessonBodyBytes }, (request) => {
    requireTeacher(request);
    const { format, formatVersion, beats, items } = request.body.clip as Record<string, unknown>;
    if (format !== 'zeitpunkt-beats') throw new CoreError('LESSON_UNREADABLE', 'What was copied are no beats of a lesson.');
    const wrapped = { ...CLIP_LESSON, formatVersion, beats, items };
    const { beats: pasted, items: asked } = stored.lesson(wrapped, COPIED);
    return { beats: pasted, items: asked };
  });

  // The id makes it safe to repeat.
  app.post('/api/lessons', { schema: { body: DraftWish, response: { 200: LessonAdded } } }, (request) => {
    const { id, classId } = request.body;
    const teacher = requireTeacher(request);
    if (classId !== undefined) mustOwnClass(db, teacher.id, classId);
    return add(teacher.id, id, () => work.ask('draft', teacher.id, request.body, randomInt(2 ** 31)));
  });
};
