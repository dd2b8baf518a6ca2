import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, input, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import type { BackupStatus } from '@zeitpunkt/contract';
import { dayOf } from '@zeitpunkt/core/series/school-days';
import { ask, sentenceOf } from '../../shared/api';
import { clockOf, clockTime, longDay } from '../../shared/words/days';
import { locale } from '../../shared/words/language';
import { Icon } from '../../ui/icons/icon';
import { AskFirst } from '../../ui/parts/ask-dialog';
import { BackupDays } from './backup-days';
import { SCHOOL_WORDS } from './words';

/** While one is made it is asked so often whether it is there, in milliseconds. */
const LOOK_AGAIN_MS = 1500;

/** When the school was backed up last, and whether that worked; the first teacher can have it done now. */
@Component({
  selector: 'zp-backups',
  imports: [BackupDays, Icon, MatButton, MatProgressBar],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h3>{{ words().heading }}</h3>
    @if (status(); as status) {
      @if (status.problem; as why) {
        <p class="problem" role="alert"><mat-icon svgIcon="error" /> {{ words().failed(why) }}</p>
      }
      @if (status.each; as each) {
        <zp-backup-days [kept]="status.kept" />
        <p>{{ last() }} {{ words().each(clock(60 * each.atMin), each.to) }}</p>
      } @else {
        <p>{{ words().nowhere }}</p>
      }
      @if (status.holdDeleted; as hold) {
        <p>{{ words().hold(hold.count, day(hold.deletedAtMs), hold.goneAfter) }}</p>
        @if (mayAsk() && !status.running) {
          <button mat-stroked-button type="button" class="forget" (click)="forget(hold.count)">{{ words().forget(hold.count) }}</button>
        }
      }
      @if (status.running) {
        <p role="status">{{ words().running }}</p>
        <mat-progress-bar mode="indeterminate" aria-hidden="true" />
      } @else if (status.each && mayAsk()) {
        <button mat-stroked-button type="button" (click)="make()">{{ words().now }}</button>
      }
    }
    @if (problem(); as problem) {
      <p class="problem" role="alert">{{ problem }}</p>
    }
  `,
  styles: `
    h3 {
      margin: 16px 0 0;
      font-size: 16px;
      line-height: 24px;
    }
    button {
      margin-top: 8px;
    }
    .forget {
      display: block;
      margin-bottom: 8px;
    }
    p + p {
      margin-top: 8px;
    }
    p {
      overflow-wrap: anywhere;
    }
    mat-icon {
      vertical-align: -6px;
    }
  `,
})
export class BackupsPart {
  /** Whether whoever is here is the first teacher of the school. */
  readonly mayAsk = input.required<boolean>();
  private readonly catalogue = SCHOOL_WORDS;
  protected readonly words = computed(() => this.catalogue().backups);
  protected readonly status = signal<BackupStatus | null>(null);
  protected readonly problem = signal<string | null>(null);
  protected readonly clock = clockTime;
  protected readonly day = (ms: number) => longDay(dayOf(ms));
  private readonly askFirst = inject(AskFirst);
  private timer = 0;
  protected readonly last = computed(() => {
    const last = this.status()?.last;
    if (!last) return this.words().never;
    const megabytes = (last.bytes / 2 ** 20).toLocaleString(locale(), { maximumFractionDigits: 1 });
    return this.words().last(longDay(dayOf(last.atMs)), clockOf(last.atMs), megabytes, last.sealed);
  });

  constructor() {
    void this.ask('GET');
    inject(DestroyRef).onDestroy(() => clearTimeout(this.timer));
  }

  protected make(): Promise<void> {
    return this.ask('POST');
  }

  /** Backups are what brings a school back: that some of them go is asked first. */
  protected async forget(count: number): Promise<void> {
    if (await this.askFirst.ask(this.words().forgetting(count))) await this.ask('POST', '/api/backups/forget-deleted');
  }

  private async ask(method: 'GET' | 'POST', path = '/api/backups'): Promise<void> {
    clearTimeout(this.timer);
    try {
      const status = await ask<BackupStatus>(method, path);
      this.status.set(status);
      this.problem.set(null);
      if (status.running) this.timer = window.setTimeout(() => void this.ask('GET'), LOOK_AGAIN_MS);
    } catch (error) {
      this.problem.set(sentenceOf(error));
    }
  }
}
