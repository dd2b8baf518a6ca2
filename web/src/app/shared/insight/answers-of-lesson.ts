import type { InsightAnswer } from '@zeitpunkt/core/insight/insight-answer';
import type { MisconceptionId } from '@zeitpunkt/core/misconceptions/registry';
import { LatestAttempts } from '@zeitpunkt/core/run/latest';
import { rungOfItem } from '@zeitpunkt/core/insight/rung-of-item';
import type { SessionDetail } from '@zeitpunkt/contract';
import { counts } from '../late';

/** An answer of a lesson with the ideas that its mark names. */
export interface LessonAnswer extends InsightAnswer {
  readonly ideas: readonly MisconceptionId[];
}

/** The answers of a lesson that count, question by question in the order of the class. */
export function answersOfLesson({ id: sessionId, live, lesson, pupils }: SessionDetail): LessonAnswer[] {
  const latest = new LatestAttempts(live.responses.filter(counts));
  return live.room.run.askings.flatMap(({ id: askingId, item }) =>
    pupils.flatMap(({ id: pupilId }) => {
      const one = latest.of(pupilId, askingId);
      if (!one) return [];
      const { id, response, mark, responseTimeMs, source, receivedAtMs } = one;
      const { verdict, misconceptions: ideas } = mark;
      const common = { id, response, responseTimeMs, source, verdict, ideas, atMs: one.late?.givenAtMs ?? receivedAtMs };
      return [{ ...common, item, askingId, pupilId, sessionId, settings: lesson.settings, rung: rungOfItem(item, lesson) }];
    }),
  );
}
