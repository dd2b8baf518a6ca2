import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { DaysFound } from '@zeitpunkt/contract';
import { dayWords, toggleDayOff, weekdayOf, type IsoDate } from '@zeitpunkt/core';
import { FileLook } from '../../shared/file-look';
import { FileChoice } from '../../ui/file-choice';
import { PlanStore } from './plan-store';

/** As large as the server reads. */
const MOST_BYTES = 4 * 2 ** 20;

/** The planned lessons as a calendar file, and days off from one. */
@Component({
  selector: 'zp-plan-files',
  imports: [FileChoice, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p>
      <a mat-stroked-button [href]="'/api/classes/' + plans.at()!.classId + '/lessons.ics'" download>Planned lessons (iCalendar)</a>
    </p>
    <zp-file-choice label="Days off from a calendar file" accept=".ics,text/calendar" [look]="came" (chosen)="look($event)" />
    @if (days(); as days) {
      <div role="status">
        @if (days.length) {
          <p>
            {{ days.length }} school {{ days.length === 1 ? 'day' : 'days' }} of this plan are named in it. Those that are ticked become
            days off.
          </p>
        } @else {
          <p>No school day of this plan is named in it as a whole day, or all of them are off already.</p>
        }
      </div>
      <ul>
        @for (day of days; track day.date) {
          <li>
            <label
              ><input #one type="checkbox" [checked]="!unwanted().has(day.date)" (change)="want(day.date, one.checked)" />
              {{ words(day.date) }}: {{ day.name }}</label
            >
          </li>
        }
      </ul>
      @if (days.length) {
        <button mat-flat-button type="button" (click)="take()">
          Make {{ wanted().length }} {{ wanted().length === 1 ? 'day' : 'days' }} off
        </button>
      }
      @if (came.found()!.left.length) {
        <details>
          <summary>{{ came.found()!.left.length }} left out</summary>
          <ul>
            @for (one of came.found()!.left; track $index) {
              <li>{{ one.name }}: {{ one.why }}</li>
            }
          </ul>
        </details>
      }
    }
    @if (word(); as word) {
      <p class="word" role="status">{{ word }}</p>
    }
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
  protected readonly plans = inject(PlanStore);
  protected readonly came = new FileLook<DaysFound>(MOST_BYTES);
  protected readonly unwanted = signal<ReadonlySet<IsoDate>>(new Set());
  protected readonly word = signal<string | null>(null);
  /** Days of the file that are school days here and not off yet. */
  protected readonly days = computed(() => {
    const { schoolDays, daysOff } = this.plans.plan();
    return this.came.found()?.days.filter(({ date }) => schoolDays.includes(weekdayOf(date)) && !daysOff.includes(date)) ?? null;
  });
  protected readonly wanted = computed(() => this.days()?.filter(({ date }) => !this.unwanted().has(date)) ?? []);

  protected words(date: IsoDate): string {
    return `${dayWords(date)} ${date.slice(0, 4)}`;
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
    this.word.set(
      `${dates.length} ${dates.length === 1 ? 'day is' : 'days are'} off now; the lessons after them moved on. Undo takes it back.`,
    );
  }
}
