import { QuestionsFound, SIZES } from '@zeitpunkt/contract';
import { CoreError } from '@zeitpunkt/core/errors';
import { Type } from '@sinclair/typebox';
import type { Store } from '../../db/connection.js';
import { stored } from '../../db/stored.js';
import type { Feature } from '../../http/feature.js';
import { fileOf, takesFiles } from '../../http/takes-files.js';
import type { Work } from '../../work/work.js';
import type { RequireTeacher } from '../auth/gives.js';
import { ownLesson } from '../lessons/gives.js';

export interface QuestionsOptions {
  readonly store: Store;
  readonly work: Work;
  readonly requireTeacher: RequireTeacher;
}

const Params = Type.Object({ id: Type.String() });

/** Packages of questions from elsewhere: looked at by the server, put into the lesson by the script place, where it can be undone. */
export const questionsPlugin: Feature<QuestionsOptions> = async (app, { store, work, requireTeacher }) => {
  takesFiles(app);

  app.post(
    '/api/lessons/:id/questions/look',
    {
      schema: { params: Params, response: { 200: QuestionsFound } },
      bodyLimit: SIZES.questions.bytes,
    },
    (request) => {
      const row = ownLesson(store.db, requireTeacher(request).id, (request.params as { id: string }).id);
      if (!row) throw new CoreError('NOT_FOUND', 'There is no such lesson among yours.');
      return work.ask('questions', fileOf(request), stored.lesson(row.draft, row.title).settings);
    },
  );
};
