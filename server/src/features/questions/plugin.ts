import { ItemSchema, QuestionsFound } from '@zeitpunkt/contract';
import { CoreError, kindOf, type DocumentOf, type Item, type LessonSettings } from '@zeitpunkt/core';
import { readPackage } from '@zeitpunkt/core/qti/in/package-in';
import { MANIFEST } from '@zeitpunkt/core/qti/standard';
import { Type } from '@sinclair/typebox';
import { setImmediate } from 'node:timers/promises';
import type { Store } from '../../db/connection.js';
import { stored } from '../../db/stored.js';
import { readXml } from '../../files/read-xml.js';
import { readZip, type ZipLimits } from '../../files/read-zip.js';
import type { Feature } from '../../http/feature.js';
import { checkOf } from '../../http/fits.js';
import type { RequireTeacher } from '../auth/guard.js';
import { ownLesson } from '../lessons/queries.js';

export interface QuestionsOptions {
  readonly store: Store;
  readonly requireTeacher: RequireTeacher;
}

const Params = Type.Object({ id: Type.String() });
const MB = 2 ** 20;
const PACKAGE_BYTES = 20 * MB;
const LIMITS: ZipLimits = { files: 1000, fileBytes: 4 * MB, totalBytes: 60 * MB };
/** As many as a lesson may have. */
const MOST_QUESTIONS = 100;

/** Packages of questions from elsewhere: looked at by the server, put into the lesson by the script place, where it can be undone. */
export const questionsPlugin: Feature<QuestionsOptions> = async (app, { store, requireTeacher }) => {
  app.addContentTypeParser('application/octet-stream', { parseAs: 'buffer' }, (_request, body, done) => done(null, body));

  app.post(
    '/api/lessons/:id/questions/look',
    {
      schema: { params: Params, response: { 200: QuestionsFound } },
      bodyLimit: PACKAGE_BYTES,
      // Whoever is not signed in is sent away before so large a body is read.
      onRequest: async (request) => void requireTeacher(request),
    },
    async (request) => {
      const row = ownLesson(store.db, requireTeacher(request).id, (request.params as { id: string }).id);
      if (!row) throw new CoreError('NOT_FOUND', 'There is no such lesson among yours.');
      const { settings } = stored.lesson(row.draft, row.title);
      // Pictures, sounds and films of a package are not read, however large they are.
      return found(await readZip(request.body as Buffer, LIMITS, (path) => path.endsWith('.xml')), settings);
    },
  );
};

async function found(files: ReadonlyMap<string, Uint8Array>, settings: LessonSettings): Promise<QuestionsFound> {
  const manifest = files.get(MANIFEST);
  if (!manifest) throw new CoreError('FILE_UNREADABLE', `This is no package of questions: it has no ${MANIFEST}.`);
  const root = readXml(manifest, MANIFEST);
  await setImmediate();
  const documentOf: DocumentOf = (path) => {
    const bytes = files.get(path) ?? files.get(plainPath(path));
    if (!bytes) return null;
    try {
      return readXml(bytes, path);
    } catch (error) {
      if (error instanceof CoreError) return { problem: error.message };
      throw error;
    }
  };
  return readPackage(root, documentOf, (data) => ownItem(data, settings), settings, MOST_QUESTIONS);
}

/** A path as it stands in the archive: manifests may write it as an address. */
function plainPath(path: string): string {
  try {
    return decodeURIComponent(path).replace(/^\.\//, '');
  } catch {
    return path; // a percent sign that belongs to the name
  }
}

const checkItem = checkOf(ItemSchema);

/** An item of ours that stands in a file: by its schema, and one that can be asked. */
function ownItem(data: unknown, settings: LessonSettings): Item | null {
  if (checkItem(data) !== null) return null;
  const item = data as Item;
  try {
    kindOf(item).keyOf(item, settings);
    return item;
  } catch {
    return null; // it follows the schema and is no question all the same; it is read as another program's
  }
}
