import { DestroyRef, inject, Injectable, signal } from '@angular/core';
import type { DeskView } from '@zeitpunkt/contract';
import { ApiProblem, ask, sentenceOf } from '../../shared/api';
import { DeskStore } from './desk-store';

/** While the line is lost the same step is asked for again after this pause, in milliseconds. */
const AGAIN_MS = 2000;

/** Takes a pupil through a lesson at own pace, step by step; buttons and the teacher's voice both go on by it. */
@Injectable()
export class OwnSteps {
  private readonly store = inject(DeskStore);
  readonly problem = signal<string | null>(null);
  readonly waiting = signal(false);
  /** Counts how often the step at hand was wished for once more. */
  readonly onceMore = signal(0);
  /** The step that is asked for; null where none is. */
  private wanted: number | null = null;
  private timer = 0;

  constructor() {
    inject(DestroyRef).onDestroy(() => clearTimeout(this.timer));
  }

  /** Goes to one of the steps so far, from 0; while the line is lost it is asked for again, and the latest wish counts. */
  goTo(step: number): void {
    const isOnTheWay = this.wanted !== null;
    this.wanted = step;
    if (step === this.store.view()?.own?.at) this.onceMore.update((count) => count + 1);
    if (!isOnTheWay) void this.send();
  }

  private async send(): Promise<void> {
    const step = this.wanted;
    const to = step === null ? undefined : this.store.view()?.own?.steps[step];
    if (!to) return void (this.wanted = null);
    try {
      const view = await ask<DeskView>('POST', '/api/desk/own/go', { to });
      this.problem.set(null);
      this.waiting.set(false);
      await this.store.take(view);
      if (this.wanted === step) this.wanted = null;
      else void this.send();
    } catch (error) {
      if (error instanceof ApiProblem && error.mayPass) {
        this.waiting.set(true);
        this.timer = window.setTimeout(() => void this.send(), AGAIN_MS);
        return;
      }
      this.wanted = null;
      this.problem.set(sentenceOf(error));
    }
  }
}
