import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { MAT_DIALOG_DATA, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle } from '@angular/material/dialog';
import { MatExpansionPanel, MatExpansionPanelHeader, MatExpansionPanelTitle } from '@angular/material/expansion';
import { Icon } from '../../ui/icons/icon';
import type { DaysFound } from '@zeitpunkt/contract';
import type { IsoDate } from '@zeitpunkt/core/series/plan';
import { weekdayOf } from '@zeitpunkt/core/series/school-days';
import { toggleDayOff } from '@zeitpunkt/core/series/series';
import { FileLook } from '../../shared/file-look';
import type { PlanStore } from '../../shared/plan/plan-store';
import { longDay } from '../../shared/words/days';
import { FileChoice } from '../../ui/file-choice';
import { LADDER_WORDS } from './words';

/** As large as the server reads. */
const MOST_BYTES = 4 * 2 ** 20;

/** The planned lessons as a calendar file, and days off from one. */
@Component({
  selector: 'zp-plan-files',
  imports: [
    FileChoice,
    MatButton,
    MatCheckbox,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    MatExpansionPanel,
    MatExpansionPanelHeader,
    MatExpansionPanelTitle,
    Icon,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ heading() }}</h2>
    <mat-dialog-content>
      <p>
        <a mat-stroked-button [href]="'/api/classes/' + plans.at()!.classId + '/lessons.ics'" download
          ><mat-icon svgIcon="download" />{{ words().out }}</a
        >
      </p>
      <zp-file-choice [label]="words().in" accept=".ics,text/calendar" [look]="came" (chosen)="look($event)" />
      @if (days(); as days) {
        <p role="status">{{ days.length ? words().found(days.length) : words().none }}</p>
        <ul>
          @for (day of days; track day.date) {
            <li>
              <mat-checkbox [checked]="!unwanted().has(day.date)" (change)="want(day.date, $event.checked)"
                >{{ said(day.date) }}: {{ day.name }}</mat-checkbox
              >
            </li>
          }
        </ul>
        @if (days.length) {
          <button mat-flat-button type="button" (click)="take()">{{ words().make(wanted().length) }}</button>
        }
        @if (came.found()!.left.length) {
          <mat-expansion-panel class="mat-elevation-z0">
            <mat-expansion-panel-header>
              <mat-panel-title>{{ words().left(came.found()!.left.length) }}</mat-panel-title>
            </mat-expansion-panel-header>
            <ul>
              @for (one of came.found()!.left; track $index) {
                <li>{{ one.name }}: {{ one.why }}</li>
              }
            </ul>
          </mat-expansion-panel>
        }
      }
      @if (word(); as word) {
        <p class="word" role="status">{{ word }}</p>
      }
    </mat-dialog-content>
    <mat-dialog-actions align="start">
      <button mat-stroked-button type="button" mat-dialog-close>{{ words().close }}</button>
    </mat-dialog-actions>
  `,
  styles: `
    ul {
      max-height: 16rem;
      margin: 0.5rem 0;
      padding: 0;
      overflow: auto;
      list-style: none;
    }
  `,
})
export class PlanFiles {
  protected readonly plans = inject<InstanceType<typeof PlanStore>>(MAT_DIALOG_DATA);
  private readonly all = LADDER_WORDS;
  protected readonly heading = computed(() => this.all().files);
  protected readonly words = computed(() => this.all().planFiles);
  protected readonly came = new FileLook<DaysFound>(MOST_BYTES);
  protected readonly unwanted = signal<ReadonlySet<IsoDate>>(new Set());
  protected readonly word = signal<string | null>(null);
  /** Days of the file that are school days here and not off yet. */
  protected readonly days = computed(() => {
    const { schoolDays, daysOff } = this.plans.plan();
    return this.came.found()?.days.filter(({ date }) => schoolDays.includes(weekdayOf(date)) && !daysOff.includes(date)) ?? null;
  });
  protected readonly wanted = computed(() => this.days()?.filter(({ date }) => !this.unwanted().has(date)) ?? []);

  protected said(date: IsoDate): string {
    return `${longDay(date)} ${date.slice(0, 4)}`;
  }

  protected look(file: File): void {
    this.word.set(null);
    this.unwanted.set(new Set());
    void this.came.look(file, '/api/calendars/look');
  }

  protected want(date: IsoDate, isWanted: boolean): void {
    this.unwanted.update((before) => new Set(isWanted ? [...before].filter((one) => one !== date) : [...before, date]));
  }

  /** One change of the plan, which one press undoes. */
  protected take(): void {
    const dates = this.wanted().map(({ date }) => date);
    this.plans.change((plan) => dates.reduce(toggleDayOff, plan));
    this.came.found.set(null);
    this.word.set(this.words().done(dates.length));
  }
}
