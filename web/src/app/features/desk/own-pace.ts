import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, signal } from '@angular/core';
import type { DeskView } from '@zeitpunkt/contract';
import { ApiProblem, ask, sentenceOf } from '../../shared/api';
import { DeskStore } from './desk-store';

/** While the line is lost the same step is asked for again after this pause, in milliseconds. */
const AGAIN_MS = 2000;

/** A lesson at own pace: the way on, back and once more. Loaded where a lesson is one. */
@Component({
  selector: 'zp-own-pace',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (own(); as own) {
      @if (own.done) {
        <p class="done" role="status"><strong>You have done all of it.</strong> You can look at everything once more.</p>
      }
      @if (problem(); as problem) {
        <p class="problem" role="alert">{{ problem }}</p>
      }
      <div class="ways">
        <button type="button" class="button outlined big" [disabled]="own.at === 0" (click)="goTo(own.at - 1)">Back</button>
        @if (isStage()) {
          <button type="button" class="button outlined big" (click)="goTo(own.at)">Once more</button>
        }
        @if (own.at < own.farthest) {
          <button type="button" class="button filled big on" (click)="goTo(own.at + 1)">Go on</button>
        } @else if (!own.done) {
          <span class="hint">Answer, and it goes on.</span>
        }
      </div>
      <label class="place">
        <span>Step {{ own.at + 1 }} of {{ own.total }}</span>
        <input
          #place
          type="range"
          min="1"
          [max]="own.farthest + 1"
          [value]="own.at + 1"
          [attr.aria-valuetext]="'Step ' + (own.at + 1) + ' of ' + own.total"
          (change)="goTo(place.valueAsNumber - 1)"
        />
      </label>
      @if (waiting()) {
        <p role="status">Waiting for the line …</p>
      }
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.6rem;
      margin-top: 0.5rem;
    }
    .done {
      text-align: center;
    }
    .ways {
      display: flex;
      flex-wrap: wrap;
      gap: 0.6rem;
      align-items: center;
      justify-content: center;
    }
    /* Going on is what a thumb does most. */
    @media (max-width: 480px) {
      .on {
        flex: 1 0 100%;
      }
    }
    .hint {
      color: var(--soft);
    }
    .place {
      display: flex;
      gap: 0.75rem;
      align-items: center;
      color: var(--soft);
    }
    .place input {
      flex: 1;
      min-width: 0;
      height: 48px;
      accent-color: var(--ink);
    }
  `,
})
export class OwnPace {
  protected readonly store = inject(DeskStore);
  protected readonly own = computed(() => this.store.view()?.own ?? null);
  protected readonly isStage = computed(() => this.store.view()?.stage !== null);
  protected readonly problem = signal<string | null>(null);
  /** The step that is asked for; null where none is. */
  protected readonly wanted = signal<number | null>(null);
  protected readonly waiting = signal(false);
  private timer = 0;

  constructor() {
    inject(DestroyRef).onDestroy(() => clearTimeout(this.timer));
  }

  /** Goes to one of the steps so far, from 0; while the line is lost it is asked for again, and the latest wish counts. */
  protected goTo(step: number): void {
    const isOnTheWay = this.wanted() !== null;
    this.wanted.set(step);
    if (!isOnTheWay) void this.send();
  }

  private async send(): Promise<void> {
    const step = this.wanted();
    const to = step === null ? undefined : this.own()?.steps[step];
    if (!to) return this.wanted.set(null);
    try {
      const view = await ask<DeskView>('POST', '/api/desk/own/go', { to });
      this.problem.set(null);
      this.waiting.set(false);
      await this.store.take(view);
      if (this.wanted() === step) this.wanted.set(null);
      else void this.send();
    } catch (error) {
      if (error instanceof ApiProblem && error.mayPass) {
        this.waiting.set(true);
        this.timer = window.setTimeout(() => void this.send(), AGAIN_MS);
        return;
      }
      this.wanted.set(null);
      this.problem.set(sentenceOf(error));
    }
  }
}
