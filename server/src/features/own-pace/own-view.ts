import type { PreparedLesson, Step } from '@zeitpunkt/core/lesson/prepare';
import { farthestOwnStep, isOwnDone, ownIndex, ownSteps } from '@zeitpunkt/core/run/own-pace';
import type { Run } from '@zeitpunkt/core/run/run';
import { narrationAt } from '@zeitpunkt/core/stage/player';
import type { Take } from '@zeitpunkt/core/voice/take';
import type { ownPace } from '../../tables/own-pace.js';

/** What a desk is told of a pupil's way through a lesson at their own pace. */
export function ownView(
  lesson: PreparedLesson,
  run: Run,
  given: typeof ownPace.$inferSelect,
  line: string,
  takeAt: (step: Step | undefined) => Take | null,
) {
  const steps = ownSteps(lesson);
  const farthest = farthestOwnStep(lesson, run);
  const at = ownIndex(lesson, run.at);
  const here = takeAt(steps[at]);
  const next = at < farthest ? takeAt(steps[at + 1]) : null;
  return {
    narration: narrationAt(lesson, run.at),
    at,
    farthest,
    steps: steps.slice(0, farthest + 1).map(({ ref }) => ref),
    total: steps.length,
    done: isOwnDone(lesson, run),
    lines: [given.line, line].filter((text) => text !== ''),
    lastDay: given.lastDay,
    voice: given.voice
      ? {
          here: here && { takeId: here.id, durationMs: here.durationMs, cues: here.cues },
          nextTakeId: next?.id ?? null,
        }
      : null,
  };
}
