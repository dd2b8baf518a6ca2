import type { ClassWording } from '@zeitpunkt/core/question-kinds/class-wordings';
import type { ClassStanding } from '@zeitpunkt/contract';
import type { Db } from '../../db/connection.js';
import { pupilsOf } from '../../sessions/queries/pupils.js';
import { classStanding } from './class-standing.js';
import type { InsightLines } from './insight-lines.js';
import { madeRight, type MadeRight } from './made-right.js';

interface OwnClass {
  readonly id: string;
  readonly name: string;
}

/** @param lines are kept in the thread that reads them */
export function reviewTasks(db: Db, lines: InsightLines) {
  return {
    standing(own: OwnClass, nowMs: number): Promise<ClassStanding> {
      const pupils = pupilsOf(db, own.id);
      return classStanding(lines.of(own, pupils), pupils, nowMs);
    },
    madeRight: (classId: string, wording: ClassWording): Promise<MadeRight[]> => madeRight(db, classId, wording),
    forgetLines: (classId: string): void => lines.forget(classId),
  };
}

export function reviewFlow(db: Db, lines: InsightLines) {
  return { answers: (own: OwnClass): AsyncGenerator<string> => lines.of(own, pupilsOf(db, own.id)) };
}
