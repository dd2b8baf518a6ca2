import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { ClockLeap } from '@zeitpunkt/contract';
import { dayOf } from '@zeitpunkt/core/series/school-days';
import { clockOf, dayInYear, weekday } from '../../shared/words/days';
import { ask, sentenceOf } from '../../shared/api';
import { CLOCK_WORDS } from './clock-words';

/** The server's clock leapt, or nobody was here for long: what is kept for a time waits until somebody says that the day is right. */
@Component({
  selector: 'zp-clock-notice',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (leap(); as leap) {
      <p class="word" role="alert">
        {{ words().leapt(day(leap.toMs) + ', ' + clock(leap.toMs), day(leap.fromMs)) }}
        <button mat-stroked-button type="button" [disabled]="busy()" (click)="keepAsIs()">{{ words().isRight }}</button>
      </p>
    }
    @if (problem(); as problem) {
      <p class="problem" role="alert">{{ problem }}</p>
    }
  `,
})
export class ClockNotice {
  protected readonly words = CLOCK_WORDS;
  protected readonly leap = signal<ClockLeap['leap']>(null);
  protected readonly clock = clockOf;
  protected readonly busy = signal(false);
  protected readonly problem = signal<string | null>(null);

  constructor() {
    // Out of reach, the place itself says so; the clock is asked for again with the next visit.
    ask<ClockLeap>('GET', '/api/clock').then(
      ({ leap }) => this.leap.set(leap),
      () => undefined,
    );
  }

  /** "Thursday 2 July 2026", as days are written here. */
  protected day(ms: number): string {
    const day = dayOf(ms);
    return `${weekday(day)} ${dayInYear(day)}`;
  }

  protected async keepAsIs(): Promise<void> {
    this.busy.set(true);
    try {
      this.leap.set((await ask<ClockLeap>('POST', '/api/clock/confirm')).leap);
      this.problem.set(null);
    } catch (error) {
      this.problem.set(sentenceOf(error));
    }
    this.busy.set(false);
  }
}
