import { and, eq, inArray, ne } from 'drizzle-orm';
import type { Db } from '../../db/connection.js';
import { stored } from '../../db/stored.js';
import { schoolClass } from '../../tables/classes.js';
import { lesson } from '../../tables/lessons.js';
import { sheet } from '../../tables/paper.js';
import { classPlan } from '../../tables/plans.js';
import { liveSession } from '../../tables/sessions.js';

/** Which lessons of a teacher belong to a class: to it alone, and to others, too. */
export function lessonsOfClass(db: Db, classId: string, teacherId: string): { readonly own: string[]; readonly shared: string[] } {
  const owned = new Set(
    db
      .select({ id: lesson.id })
      .from(lesson)
      .where(eq(lesson.teacherId, teacherId))
      .all()
      .map(({ id }) => id),
  );
  const others = db
    .select({ id: schoolClass.id })
    .from(schoolClass)
    .where(and(eq(schoolClass.teacherId, teacherId), ne(schoolClass.id, classId), eq(schoolClass.simulated, false)))
    .all()
    .map(({ id }) => id);
  const here = usedIn(db, [classId]);
  const elsewhere = usedIn(db, others);
  const used = [...here].filter((id) => owned.has(id));
  return { own: used.filter((id) => !elsewhere.has(id)), shared: used.filter((id) => elsewhere.has(id)) };
}

/** Lessons that were taught in some classes, are planned there, or printed for them. */
function usedIn(db: Db, classIds: readonly string[]): Set<string> {
  const taught = db
    .selectDistinct({ id: liveSession.lessonId })
    .from(liveSession)
    .where(inArray(liveSession.classId, [...classIds]))
    .all();
  const printed = db
    .selectDistinct({ id: sheet.lessonId })
    .from(sheet)
    .where(inArray(sheet.classId, [...classIds]))
    .all();
  const planned = db
    .select({ plan: classPlan.plan })
    .from(classPlan)
    .where(inArray(classPlan.classId, [...classIds]))
    .all()
    .flatMap(({ plan }) => {
      const { series, beside } = stored.plan(plan, 'this class');
      return [...(series?.lessonIds ?? []), ...beside.map(({ lessonId }) => lessonId)];
    });
  return new Set([...taught.map(({ id }) => id), ...printed.map(({ id }) => id), ...planned]);
}
