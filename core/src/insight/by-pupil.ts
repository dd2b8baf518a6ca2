import type { InsightAnswer } from './insight-answer.js';

/** Answers by who gave them, each pupil's in the order in which they are given here. */
export function answersByPupil(answers: readonly InsightAnswer[]): ReadonlyMap<string, readonly InsightAnswer[]> {
  const byPupil = new Map<string, InsightAnswer[]>();
  for (const one of answers) {
    const own = byPupil.get(one.pupilId);
    if (own) own.push(one);
    else byPupil.set(one.pupilId, [one]);
  }
  return byPupil;
}
