import type { ClassPlan } from '@zeitpunkt/core/series/plan';
import { movedLessons } from '@zeitpunkt/core/series/series';
import { longDay } from '../words/days';
import { PLAN_WORDS } from './words';

/** What a change of the plan moves, in a sentence; empty where nothing moves. @param titleOf of a lesson by its id */
export function movesInWords(before: ClassPlan, after: ClassPlan, titleOf: (id: string) => string | null): string {
  const moved = movedLessons(before, after).filter(({ from, to }) => from !== null && to !== null);
  const [first, last] = [moved[0], moved.at(-1)];
  return first && last ? PLAN_WORDS().moves(titleOf(first.lessonId), longDay(first.to!), moved.length - 1, longDay(last.to!)) : '';
}
