import { CoreError } from '@zeitpunkt/core/errors';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { checkSchool } from '../db/check-school.js';
import { openBeside, type Db } from '../db/connection.js';
import { noteAct } from '../features/acts/gives.js';
import { authQueries } from '../features/auth/queries.js';
import { handOnFirst } from '../features/auth/first-teacher.js';
import { makeReset } from '../features/auth/reset.js';
import { teachersOf } from '../features/auth/teachers.js';
import { whenFree } from '../db/when-free.js';

export interface ResetWish {
  readonly dataDir: string;
  readonly migrationsDir: string;
  /** The sign-in name of whoever cannot sign in; null to list who there is. */
  readonly signInName: string | null;
  /** Whether that teacher becomes the first of the school. */
  readonly first: boolean;
  readonly nowMs: number;
}

export type ResetDone =
  | {
      readonly kind: 'list';
      readonly teachers: readonly { readonly name: string; readonly signInName: string; readonly isFirst: boolean }[];
    }
  | { readonly kind: 'code'; readonly name: string; readonly code: string; readonly expiresAtMs: number };

/**
 * A one-time code for a teacher, made on the machine itself, where nobody can sign in any more. The server may run meanwhile.
 * @throws CoreError START_DATA_DIR, START_DATABASE_…, TEACHER_UNKNOWN
 */
export async function reset({ dataDir, migrationsDir, signInName, first, nowMs }: ResetWish): Promise<ResetDone> {
  const file = join(dataDir, 'zeitpunkt.sqlite');
  if (!existsSync(file))
    throw new CoreError('START_DATA_DIR', `There is no school in ${dataDir}. Name its directory with --data.`, { dataDir });
  const store = openBeside(file);
  try {
    checkSchool(store.sqlite, file, migrationsDir);
    if (signInName === null) return { kind: 'list', teachers: listOf(store.db) };
    const found = authQueries(store.db).teacherBySignInName(signInName);
    if (!found)
      throw new CoreError('TEACHER_UNKNOWN', `Nobody here signs in as “${signInName}”. Without a name, all are listed.`, { signInName });
    const make = store.sqlite.transaction(() => {
      if (first) {
        handOnFirst(store.db, found.id);
        noteAct(store.db, { act: 'first-handed-on', atMs: nowMs, teacherId: null, about: found.name });
      }
      return makeReset(store.db, found, null, nowMs);
    });
    const { code, expiresAtMs } = await whenFree(() => make.immediate());
    return { kind: 'code', name: found.name, code, expiresAtMs };
  } finally {
    store.close();
  }
}

const listOf = (db: Db) =>
  teachersOf(db).map(({ id, name, isFirst }) => ({ name, isFirst, signInName: authQueries(db).teacherById(id)!.signInName }));
