import type { PreparedLesson, Step } from '@zeitpunkt/core/lesson/prepare';
import { ownSteps } from '@zeitpunkt/core/run/own-pace';
import type { Take } from '@zeitpunkt/core/voice/take';
import { takeFor } from '@zeitpunkt/core/voice/takes-of';

/** What is heard at each step: the takes that fit the lesson as it was given out; read when one is first asked for. */
export class OwnTakes {
  private voice: ReadonlyMap<Step, Take> | null = null;

  constructor(
    private readonly lesson: PreparedLesson,
    private readonly read: () => readonly Take[],
  ) {}

  at(step: Step | undefined): Take | null {
    return step ? ((this.voice ??= this.found()).get(step) ?? null) : null;
  }

  /** Something was recorded or deleted: it is heard from now on, or not any more. */
  forget(): void {
    this.voice = null;
  }

  private found(): ReadonlyMap<Step, Take> {
    const takes = this.read();
    return new Map(
      ownSteps(this.lesson).flatMap((one) => {
        const take = takeFor(this.lesson, one, takes);
        return take ? [[one, take] as const] : [];
      }),
    );
  }
}
