import type { PreparedLesson } from '../lesson/prepare.js';
import type { Run } from './run.js';

/** What a beat was to take and what it took, in milliseconds. */
export interface BeatTime {
  readonly beatId: string;
  readonly plannedMs: number;
  /** All the time that was spent at it; null where it was not reached. */
  readonly actualMs: number | null;
}

/**
 * Planned against actual time, beat by beat, in the order of the lesson.
 * @param untilMs the clock now, or when the lesson ended: the beat at hand counts up to then
 */
export function beatTimes({ lesson, steps }: PreparedLesson, { trail }: Pick<Run, 'trail'>, untilMs: number): BeatTime[] {
  const actual = new Map<string, number>();
  trail.forEach(({ beatId, atMs }, index) => {
    const end = trail[index + 1]?.atMs ?? Math.max(atMs, untilMs);
    actual.set(beatId, (actual.get(beatId) ?? 0) + end - atMs);
  });
  const planned = new Map<string, number>();
  for (const { ref, durationMs } of steps) planned.set(ref.beatId, (planned.get(ref.beatId) ?? 0) + durationMs);
  return lesson.beats.map(({ id }) => ({ beatId: id, plannedMs: planned.get(id) ?? 0, actualMs: actual.get(id) ?? null }));
}
