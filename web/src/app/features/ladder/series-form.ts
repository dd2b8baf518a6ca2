import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { MatDatepicker, MatDatepickerInput, MatDatepickerToggle, MatDatepickerToggleIcon } from '@angular/material/datepicker';
import { MAT_DIALOG_DATA, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle } from '@angular/material/dialog';
import { MatFormField, MatLabel, MatSuffix } from '@angular/material/form-field';
import { Icon } from '../../ui/icons/icon';
import { MatInput } from '@angular/material/input';
import { MatProgressBar } from '@angular/material/progress-bar';
import { MatOption, MatSelect } from '@angular/material/select';
import type { RungId } from '@zeitpunkt/core/ladder/registry';
import type { Weekday } from '@zeitpunkt/core/series/plan';
import { daysThatCount } from '@zeitpunkt/core/series/school-days';
import { seriesWishes } from '@zeitpunkt/core/series/series';
import { DateTime } from 'luxon';
import type { Course } from '../../shared/course/course';
import { dayNamed, longDay, shortWeekday } from '../../shared/words/days';
import { LENGTHS, RUNG_OPTIONS } from './wish-parts';
import { LADDER_WORDS } from './words';
import { DAYS_IN_FIELDS } from '../../ui/parts/days-in-fields';

/** From "from half past to quarter to, two lessons a week" to lessons that are drafted, each for its place, and planned on their days. */
@Component({
  selector: 'zp-series-form',
  imports: [
    MatButton,
    MatButtonToggle,
    MatButtonToggleGroup,
    MatDatepicker,
    MatDatepickerInput,
    MatDatepickerToggle,
    MatDatepickerToggleIcon,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    MatFormField,
    Icon,
    MatInput,
    MatLabel,
    MatOption,
    MatProgressBar,
    MatSelect,
    MatSuffix,
  ],
  providers: [...DAYS_IN_FIELDS],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ words().heading }}</h2>
    <mat-dialog-content>
      @if (plans.drafting(); as drafting) {
        <p role="status">{{ words().drafted(drafting.done, drafting.of) }}</p>
        <mat-progress-bar [value]="(100 * drafting.done) / drafting.of" [attr.aria-label]="words().progress" />
      } @else {
        <form id="series" novalidate (submit)="order($event)">
          <mat-form-field appearance="outline" subscriptSizing="dynamic">
            <mat-label>{{ words().from }}</mat-label>
            <mat-select [value]="from()" (selectionChange)="from.set($event.value)">
              @for (one of rungs; track one.id) {
                <mat-option [value]="one.id">{{ one.name }}</mat-option>
              }
            </mat-select>
          </mat-form-field>
          <mat-form-field appearance="outline" subscriptSizing="dynamic">
            <mat-label>{{ words().to }}</mat-label>
            <mat-select [value]="to()" (selectionChange)="to.set($event.value)">
              @for (one of upwards(); track one.id) {
                <mat-option [value]="one.id">{{ one.name }}</mat-option>
              }
            </mat-select>
          </mat-form-field>
          <mat-form-field appearance="outline" subscriptSizing="dynamic">
            <mat-label>{{ words().perRung }}</mat-label>
            <mat-select [value]="perRung()" (selectionChange)="perRung.set($event.value)">
              @for (one of counts; track one) {
                <mat-option [value]="one">{{ one }}</mat-option>
              }
            </mat-select>
          </mat-form-field>
          <mat-form-field appearance="outline" subscriptSizing="dynamic">
            <mat-label>{{ words().minutes }}</mat-label>
            <mat-select [value]="minutes()" (selectionChange)="minutes.set($event.value)">
              @for (one of lengths; track one) {
                <mat-option [value]="one">{{ one }}</mat-option>
              }
            </mat-select>
          </mat-form-field>
          @if (!plans.plan().series) {
            <mat-form-field appearance="outline" subscriptSizing="dynamic">
              <mat-label>{{ words().firstDay }}</mat-label>
              <input matInput [matDatepicker]="picker" [value]="startsOn()" (dateChange)="startsOn.set($event.value)" />
              <mat-datepicker-toggle matIconSuffix [for]="picker"
                ><mat-icon matDatepickerToggleIcon svgIcon="calendar-month"
              /></mat-datepicker-toggle>
              <mat-datepicker #picker />
            </mat-form-field>
            <mat-button-toggle-group
              multiple
              hideMultipleSelectionIndicator
              [attr.aria-label]="words().weekdays"
              [value]="weekdays()"
              (change)="weekdays.set($event.value)"
            >
              @for (one of weekdayChoices; track one.value) {
                <mat-button-toggle [value]="one.value">{{ one.text }}</mat-button-toggle>
              }
            </mat-button-toggle-group>
          }
        </form>
        <p class="said" [class.problem]="problem()" role="status">{{ problem() ?? said() }}</p>
      }
      @if (plans.problem() ?? plans.word(); as word) {
        <p class="word" role="status">{{ word }}</p>
      }
      @if (plans.plan().series && !plans.drafting()) {
        <button mat-button type="button" (click)="endSeries()">{{ words().end }}</button>
      }
    </mat-dialog-content>
    <mat-dialog-actions align="start">
      @if (plans.drafting()) {
        <button mat-stroked-button type="button" (click)="plans.stopDrafting()">{{ words().stop }}</button>
      } @else {
        <button mat-stroked-button type="button" mat-dialog-close>{{ words().leave }}</button>
        <button mat-flat-button type="submit" form="series" [disabled]="problem() !== null">{{ words().press(wishes().length) }}</button>
      }
    </mat-dialog-actions>
  `,
  styles: `
    form {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
      gap: 12px;
      padding-top: 8px;
    }
    .said {
      margin: 12px 0;
      color: var(--soft);
    }
  `,
})
export class SeriesForm {
  private readonly data = inject<{ readonly course: Course; readonly rung: RungId }>(MAT_DIALOG_DATA);
  protected readonly plans = this.data.course.plans;
  private readonly all = LADDER_WORDS;
  protected readonly words = computed(() => this.all().seriesForm);
  protected readonly rungs = RUNG_OPTIONS;
  protected readonly lengths = LENGTHS;
  protected readonly counts = [1, 2, 3];
  protected readonly weekdayChoices = this.plans.plan().schoolDays.map((value) => ({ value, text: shortWeekday(dayNamed(value)) }));
  protected readonly from = signal<RungId>(this.data.rung);
  protected readonly upwards = computed(() => RUNG_OPTIONS.slice(RUNG_OPTIONS.findIndex(({ id }) => id === this.from())));
  protected readonly to = linkedSignal(() => this.upwards()[Math.min(2, this.upwards().length - 1)]!.id);
  protected readonly perRung = signal(2);
  protected readonly minutes = signal(20);
  protected readonly startsOn = signal<DateTime | null>(DateTime.fromISO(this.data.course.today()));
  protected readonly weekdays = signal<readonly Weekday[]>([2, 4]);
  protected readonly wishes = computed(() => seriesWishes(this.from(), this.to(), this.perRung(), this.data.course.rungBefore()));
  private readonly firstDay = computed(() => (this.startsOn()?.isValid ? this.startsOn()!.toISODate() : null));

  protected readonly problem = computed(() => {
    if (this.plans.plan().series) return null;
    if (this.weekdays().length === 0) return this.words().noWeekday;
    return this.firstDay() === null ? this.words().noDay : null;
  });
  /** When the series would end, or where it would go. */
  protected readonly said = computed(() => {
    const { series, daysOff } = this.plans.plan();
    if (series) return this.words().after(series.lessonIds.length);
    const rule = { weekdays: this.weekdays(), off: new Set(daysOff) };
    const last = daysThatCount(this.firstDay()!, this.wishes().length, rule).at(-1);
    return last ? this.words().last(longDay(last)) : '';
  });

  protected endSeries(): void {
    this.plans.changeAndSay((plan) => ({ ...plan, series: null }), this.words().ended);
  }

  protected async order(event: Event): Promise<void> {
    event.preventDefault();
    if (this.problem() !== null) return;
    const startsOn = this.firstDay() ?? this.data.course.today();
    const weekdays = [...this.weekdays()].sort();
    await this.plans.draftSeries({ wishes: this.wishes(), minutes: this.minutes(), delivery: 'live', startsOn, weekdays });
    await this.data.course.shelf.refresh();
  }
}
