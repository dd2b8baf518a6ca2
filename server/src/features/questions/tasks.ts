import { ItemSchema, type QuestionsFound, PARTS } from '@zeitpunkt/contract';
import { CoreError } from '@zeitpunkt/core/errors';
import type { LessonSettings } from '@zeitpunkt/core/lesson/settings';
import { type DocumentOf, readPackage } from '@zeitpunkt/core/qti/in/package-in';
import { kindOf, type Item } from '@zeitpunkt/core/question-kinds/registry';
import { MANIFEST } from '@zeitpunkt/core/qti/standard';
import { setImmediate } from 'node:timers/promises';
import { joined } from '../../files/joined.js';
import { readXml } from '../../files/read-xml.js';
import { readZip, type ZipLimits } from '../../files/read-zip.js';
import { checkOf } from '../../http/fits.js';

const MB = 2 ** 20;
const LIMITS: ZipLimits = { files: 1000, fileBytes: 4 * MB, totalBytes: 60 * MB };

export const questionTasks = {
  /** The questions in a package. Pictures, sounds and films are not read, however large they are. @throws CoreError FILE_UNREADABLE */
  questions: async (file: readonly Uint8Array[], settings: LessonSettings): Promise<QuestionsFound> =>
    found(await readZip(joined(file), LIMITS, (path) => path.endsWith('.xml')), settings),
};

async function found(files: ReadonlyMap<string, Uint8Array>, settings: LessonSettings): Promise<QuestionsFound> {
  const manifest = files.get(MANIFEST);
  if (!manifest) throw new CoreError('FILE_UNREADABLE', `This is no package of questions: it has no ${MANIFEST}.`, { missing: MANIFEST });
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
  return readPackage(root, documentOf, (data) => ownItem(data, settings), settings, PARTS.questionsOfPackage.most);
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
