import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import type { LessonTime, Weekday } from '@zeitpunkt/core/series/plan';
import type { PlanStore } from '../../shared/plan/plan-store';
import { clockTime, dayNamed, weekday } from '../../shared/words/days';
import { TODAY_WORDS } from './words';

/** When lessons begin on each school day. */
@Component({
  selector: 'zp-lesson-times',
  imports: [MatButton, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle, MatFormField, MatInput, MatLabel],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ words().times.heading }}</h2>
    <mat-dialog-content>
      <p>{{ words().times.text }}</p>
      <form id="lesson-times" novalidate (submit)="keep($event)">
        @for (day of days; track day.weekday) {
          <mat-form-field appearance="outline">
            <mat-label>{{ day.name }}</mat-label>
            <input matInput autocomplete="off" inputmode="numeric" [value]="day.time" #field (input)="day.time = field.value" />
          </mat-form-field>
        }
      </form>
      @if (problem(); as problem) {
        <p class="problem" role="alert">{{ problem }}</p>
      }
    </mat-dialog-content>
    <mat-dialog-actions align="start">
      <button mat-stroked-button type="button" mat-dialog-close>{{ words().times.leave }}</button>
      <button mat-flat-button type="submit" form="lesson-times">{{ words().times.keep }}</button>
    </mat-dialog-actions>
  `,
  styles: `
    form {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(140px, 1fr));
      gap: 16px;
      padding-top: 16px;
    }
  `,
})
export class LessonTimes {
  private readonly plans = inject<InstanceType<typeof PlanStore>>(MAT_DIALOG_DATA);
  private readonly dialog = inject(MatDialogRef);
  protected readonly words = TODAY_WORDS;
  protected readonly problem = signal<string | null>(null);
  protected readonly days = this.plans.plan().schoolDays.map((day) => {
    const known = this.plans.plan().times.find((one) => one.weekday === day);
    return { weekday: day, name: weekday(dayNamed(day)), time: known ? clockTime(known.atSec) : '' };
  });

  protected keep(event: Event): void {
    event.preventDefault();
    const times: LessonTime[] = [];
    for (const { weekday: day, time } of this.days) {
      if (time.trim() === '') continue;
      const atSec = timeOfDay(time.trim());
      if (atSec === null) return this.problem.set(this.words().times.wrong(time));
      times.push({ weekday: day as Weekday, atSec });
    }
    this.plans.change((plan) => ({ ...plan, times }));
    this.dialog.close();
  }
}

/** "9:40", "09.40" or "9" in seconds since midnight; null for anything else. */
function timeOfDay(typed: string): number | null {
  const found = /^(\d{1,2})(?:[:.](\d{2}))?$/.exec(typed);
  const [hour, minute] = [Number(found?.[1]), Number(found?.[2] ?? 0)];
  return found && hour < 24 && minute < 60 ? hour * 3600 + minute * 60 : null;
}
