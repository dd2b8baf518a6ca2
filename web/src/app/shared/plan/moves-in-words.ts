import { dayWords, movedLessons, type ClassPlan } from '@zeitpunkt/core';

/** What a change of the plan moves, in a sentence; empty where nothing moves. @param titleOf of a lesson by its id */
export function movesInWords(before: ClassPlan, after: ClassPlan, titleOf: (id: string) => string | null): string {
  const moved = movedLessons(before, after).filter(({ from, to }) => from !== null && to !== null);
  const [first] = moved;
  if (!first) return '';
  const others = moved.length - 1;
  const last = moved.at(-1)!;
  const rest = others === 0 ? '' : `, and ${others} more ${others === 1 ? 'moves' : 'move'}; the last is then on ${dayWords(last.to!)}`;
  return `“${titleOf(first.lessonId) ?? 'A lesson'}” goes to ${dayWords(first.to!)}${rest}.`;
}
