import { signal } from '@angular/core';
import type { StageState } from '@zeitpunkt/core/scene/stage-state';
import { nextFrame, type Elsewhere } from '../../shared/next-frame';

/** With reduced motion a stage is drawn anew this often. */
const REDUCED_STEP_MS = 1000;

/** A stage that moves by itself for a while: a sweep, or free hands that snap into gear. */
export class StageAnimation {
  private readonly now = signal<StageState | null>(null);
  /** The stage at this moment; null while nothing moves. */
  readonly stage = this.now.asReadonly();
  /** Calls the next step off. */
  private callOff: () => void = () => undefined;

  /** @param elsewhere gives frames while this window is minimised */
  constructor(private readonly elsewhere: Elsewhere) {}

  /** Plays `at` over its length in milliseconds, and then tells that it has arrived. What played before is called off. */
  run(lengthMs: number, at: (elapsedMs: number) => StageState, arrived: () => void): void {
    this.callOff();
    const calm = matchMedia('(prefers-reduced-motion: reduce)').matches;
    const began = performance.now();
    const draw = () => {
      const elapsedMs = performance.now() - began;
      if (elapsedMs >= lengthMs) {
        this.now.set(null);
        return arrived();
      }
      this.now.set(at(calm ? Math.floor(elapsedMs / REDUCED_STEP_MS) * REDUCED_STEP_MS : elapsedMs));
      this.callOff = nextFrame(draw, this.elsewhere);
    };
    draw();
  }

  stop(): void {
    this.callOff();
    this.now.set(null);
  }
}
