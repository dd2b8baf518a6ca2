import { acceptingItem, type ClassWording } from '@zeitpunkt/core/question-kinds/class-wordings';
import { markOf } from '@zeitpunkt/core/question-kinds/marking';
import type { Mark, Verdict } from '@zeitpunkt/core/question-kinds/question-kind';
import { isRightVerdict } from '@zeitpunkt/core/question-kinds/verdict';
import type { Db } from '../../db/connection.js';
import { sessionAnswers } from '../../sessions/session-answers.js';

/** An answer that a wording makes right, as it was marked at first and as it is to be. */
export interface MadeRight {
  readonly sessionId: string;
  readonly responseId: string;
  readonly was: Verdict;
  readonly mark: Mark;
}

/** The answers of a class that a wording makes right, those left out that the teacher has corrected already. */
export async function madeRight(db: Db, classId: string, wording: ClassWording): Promise<MadeRight[]> {
  const found: MadeRight[] = [];
  for await (const session of sessionAnswers(db, classId)) {
    if ('why' in session) continue;
    for (const { id: askingId, item } of session.room.run.askings) {
      const accepting = acceptingItem(item, [wording]);
      if (accepting === item) continue;
      for (const one of session.responses.filter((response) => response.askingId === askingId)) {
        if (one.correction !== null || isRightVerdict(one.mark.verdict)) continue;
        const mark = markOf(accepting, one.response, session.lesson.settings);
        if (isRightVerdict(mark.verdict)) found.push({ sessionId: session.id, responseId: one.id, was: one.mark.verdict, mark });
      }
    }
  }
  return found;
}
