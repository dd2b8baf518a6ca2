import type { PreparedLesson, Step } from '@zeitpunkt/core/lesson/prepare';
import { sameStep } from '@zeitpunkt/core/lesson/step-ref';
import type { Run } from '@zeitpunkt/core/run/run';
import type { Take } from '@zeitpunkt/core/voice/take';
import { takeFor } from '@zeitpunkt/core/voice/takes-of';

/** What the teacher recorded of the questions of a lesson, for devices that cannot read them aloud. */
export class AskedTakes {
  private takes: readonly Take[] | null = null;
  private readonly found = new Map<Step, Take | null>();

  constructor(
    private readonly lesson: PreparedLesson,
    private readonly read: () => readonly Take[],
  ) {}

  /** The take that says the question of where a run stands; null where none fits the lesson as it is taught. */
  at({ at, besideId }: Run): Take | null {
    if (besideId !== null) return null; // asked beside the script, and never recorded
    const { steps } = this.lesson;
    const here = steps.findIndex(({ ref }) => sameStep(ref, at));
    const asking = steps.slice(0, here + 1).findLast(({ beat }) => beat.kind === 'ask');
    if (!asking) return null;
    this.takes ??= this.read();
    if (!this.found.has(asking)) this.found.set(asking, takeFor(this.lesson, asking, this.takes));
    return this.found.get(asking)!;
  }

  /** The recording has changed: it is read again. */
  forget(): void {
    this.takes = null;
    this.found.clear();
  }
}
