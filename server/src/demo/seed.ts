import { draftLesson } from '@zeitpunkt/core/draft/draft';
import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import { dayOf, daysOn, mondayOf, weekdayOf } from '@zeitpunkt/core/series/school-days';
import type { Store } from '../db/connection.js';
import { stored } from '../db/stored.js';
import { hashPassword } from '../features/auth/passwords.js';
import { authQueries } from '../features/auth/queries.js';
import { insertClass, putCard } from '../features/classes/queries.js';
import { insertLesson, setArchived } from '../features/lessons/queries.js';
import { installStarterLessons } from '../features/lessons/starter.js';
import { savePlan } from '../features/plans/queries.js';
import { newCardToken, tokenHash } from '../http/tokens.js';
import { giveHalfDone } from './own-pace.js';
import { DEMO_LESSONS, demoPlan } from './plan.js';
import { recordDemo } from './recording.js';
import { TAUGHT, type Taught } from './story.js';
import { teachOnce } from './teach.js';
import { TERNS } from './terns.js';

const DAY_MS = 24 * 3600 * 1000;

/** Sign-in of the demo teacher. Made up, printed at every start of the demo, and only ever in demo data. */
export const DEMO_SIGN_IN = { signInName: 'odalys', password: 'tern-harbour-lamp' } as const;

// prettier-ignore

/** Who has lost the card, and whose card is new. */
const WITHOUT_CARD: readonly string[] = ['Runa', 'Yusra'];
const NEW_CARD = 'Inka';

/**
 * Fills an empty database with the demo teacher and class, six lessons ready to teach, eleven lessons taught over five weeks,
 * and one recorded with a generated sound and given out to be done at own pace; leaves any other database as it is.
 */
export async function seedDemo(store: Store, nowMs: number): Promise<void> {
  const queries = authQueries(store.db);
  if (queries.anyTeacher()) return;
  const passwordHash = await hashPassword(DEMO_SIGN_IN.password);
  const dates = taughtOn(nowMs);
  const { teacherId, classId, lessonIds } = store.sqlite.transaction(() => {
    const createdAtMs = dates[0]! - DAY_MS;
    const teacher = { signInName: DEMO_SIGN_IN.signInName, name: 'Ms Odalys Fenn', passwordHash, createdAtMs, mayInvite: true };
    const id = queries.insertTeacher(teacher);
    const terns = insertClass(store.db, { teacherId: id, name: 'Terns', pupilNames: TERNS, createdAtMs });
    for (const { id: pupilId, name } of terns.pupils) {
      if (WITHOUT_CARD.includes(name)) continue;
      // Nobody has the cards of a made-up class: what they would hold is forgotten at once.
      putCard(store.db, { pupilId, tokenHash: tokenHash(newCardToken()), madeAtMs: name === NEW_CARD ? nowMs : createdAtMs });
    }
    const starters = installStarterLessons(store.db, id);
    const more = DEMO_LESSONS.map((file, index) =>
      insertLesson(store.db, { teacherId: id, file: stored.lesson(file), place: starters.length + index }),
    );
    const [, , lastTaught, ...comes] = [...starters, ...more];
    savePlan(store.db, terns.id, 1, demoPlan([lastTaught!, ...comes], dayOf(dates.at(-1)!)));
    return { teacherId: id, classId: terns.id, lessonIds: [...starters, ...more] };
  })();
  for (const [number, taught] of TAUGHT.entries()) {
    const fromMs = dates[number]!;
    const lessonId =
      'ready' in taught ? lessonIds[taught.ready]! : draftAndPutAway(store, teacherId, lessonIds.length + number, taught, fromMs);
    await teachOnce(store, { teacherId, classId, lessonId, number, fromMs });
  }
  recordDemo(store, { teacherId, lessonId: lessonIds[1]!, nowMs });
  await giveHalfDone(store, { teacherId, classId, lessonId: lessonIds[1]!, nowMs });
}

/** A lesson that is taught once and put away. */
function draftAndPutAway(
  store: Store,
  teacherId: string,
  place: number,
  { rung, minutes, seed }: Extract<Taught, { readonly rung: unknown }>,
  atMs: number,
): string {
  const file = draftLesson({ rung, minutes, seed, delivery: 'live', settings: DEFAULT_SETTINGS });
  const id = insertLesson(store.db, { teacherId, file, place });
  setArchived(store.db, id, atMs);
  return id;
}

/** Tuesdays and Thursdays of the five weeks before this one, and the last school day before today, each in the morning. */
function taughtOn(nowMs: number): number[] {
  const monday = mondayOf(dayOf(nowMs));
  const weeks = [5, 4, 3, 2, 1].flatMap((week) => [daysOn(monday, 1 - 7 * week), daysOn(monday, 3 - 7 * week)]);
  const yesterday = daysOn(dayOf(nowMs), -1);
  const last = weekdayOf(yesterday) > 5 ? daysOn(mondayOf(yesterday), 4) : yesterday;
  return [...weeks, last].map((day) => new Date(`${day}T09:40`).getTime());
}
