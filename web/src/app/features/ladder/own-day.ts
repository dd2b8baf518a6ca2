import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog';
import { MatFormField, MatHint, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import { dayEventsText, readDayEvents } from '@zeitpunkt/core/series/day-events';
import { WORD_PACKS } from '@zeitpunkt/core/words/registry';
import type { PlanStore } from '../../shared/plan/plan-store';
import { LADDER_WORDS } from './words';

/** The class's own day: times that drafted lessons speak of. */
@Component({
  selector: 'zp-own-day',
  imports: [MatButton, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle, MatFormField, MatHint, MatInput, MatLabel],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ heading() }}</h2>
    <mat-dialog-content>
      <form id="own-day" novalidate (submit)="keep($event, lines.value)">
        <mat-form-field appearance="outline">
          <mat-label>{{ words().lines }}</mat-label>
          <textarea
            #lines
            matInput
            rows="5"
            [value]="text()"
            [attr.aria-invalid]="problem() !== null"
            aria-describedby="own-day-problem"
          ></textarea>
          <mat-hint>{{ words().hint }}</mat-hint>
        </mat-form-field>
      </form>
      @if (problem(); as problem) {
        <p id="own-day-problem" class="problem" role="alert">{{ problem }}</p>
      }
    </mat-dialog-content>
    <mat-dialog-actions align="start">
      <button mat-stroked-button type="button" mat-dialog-close>{{ words().leave }}</button>
      <button mat-flat-button type="submit" form="own-day">{{ words().keep }}</button>
    </mat-dialog-actions>
  `,
  styles: `
    form {
      padding-top: 8px;
    }
    mat-form-field {
      width: 100%;
    }
  `,
})
export class OwnDay {
  private readonly plans = inject<Pick<InstanceType<typeof PlanStore>, 'plan' | 'changeAndSay'>>(MAT_DIALOG_DATA);
  private readonly dialog = inject(MatDialogRef);
  private readonly all = LADDER_WORDS;
  protected readonly heading = computed(() => this.all().ownDay);
  protected readonly words = computed(() => this.all().ownDayForm);
  protected readonly problem = signal<string | null>(null);
  protected readonly text = computed(() => dayEventsText(this.plans.plan().daily));

  protected keep(event: Event, text: string): void {
    event.preventDefault();
    const entry = readDayEvents(text, WORD_PACKS[DEFAULT_SETTINGS.pack]);
    this.problem.set('problem' in entry ? entry.problem : null);
    if (!('events' in entry)) return;
    this.plans.changeAndSay((plan) => ({ ...plan, daily: entry.events }), this.words().kept);
    this.dialog.close();
  }
}
