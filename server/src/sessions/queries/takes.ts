import { and, asc, eq } from 'drizzle-orm';
import type { Take } from '@zeitpunkt/core/voice/take';
import type { Db } from '../../db/connection.js';
import { stored } from '../../db/stored.js';
import { take } from '../../tables/voice.js';

/** Each step's take of a lesson, as it is heard. @throws CoreError TAKE_UNREADABLE, FORMAT_NEWER */
export function takesOf(db: Db, lessonId: string): Take[] {
  return db
    .select({ document: take.document, beatId: take.beatId, step: take.step })
    .from(take)
    .where(and(eq(take.lessonId, lessonId), eq(take.state, 'current')))
    .orderBy(asc(take.id))
    .all()
    .map(({ document, beatId, step }) => stored.take(document, `step “${beatId}/${step}”`));
}
