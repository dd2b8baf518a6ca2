import type { Staff } from '@zeitpunkt/contract';
import { and, asc, eq, sql } from 'drizzle-orm';
import type { Db } from '../../db/connection.js';
import { teacher } from '../../tables/auth.js';
import { schoolClass } from '../../tables/classes.js';

/** Who teaches at the school, whoever came first before the others, with the names of their classes. */
export function teachersOf(db: Db): Staff['teachers'] {
  const rows = db
    .select({ teacher, className: schoolClass.name })
    .from(teacher)
    .leftJoin(schoolClass, and(eq(schoolClass.teacherId, teacher.id), eq(schoolClass.simulated, false)))
    .orderBy(asc(teacher.createdAtMs), sql`teacher.rowid`, asc(schoolClass.createdAtMs))
    .all();
  const classes = new Map<string, typeof rows>();
  for (const row of rows) classes.set(row.teacher.id, [...(classes.get(row.teacher.id) ?? []), row]);
  return [...classes.values()].map((own) => {
    const { id, name, mayInvite, totpSecret, seenAtMs } = own[0]!.teacher;
    const names = own.flatMap(({ className }) => (className === null ? [] : [className]));
    return { id, name, classes: names, isFirst: mayInvite, secondFactor: totpSecret !== null, seenAtMs };
  });
}
