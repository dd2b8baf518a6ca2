import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
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
import { MatOption, MatSelect } from '@angular/material/select';
import { patternOf, type CardPattern } from '@zeitpunkt/core/lesson/card-pattern';
import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import type { IsoDate } from '@zeitpunkt/core/series/plan';
import { secondOfDay, type SecondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { WORD_PACKS } from '@zeitpunkt/core/words/registry';
import { bestWording } from '@zeitpunkt/core/words/say';
import { readTimeEntry } from '@zeitpunkt/core/words/time-entry';
import type { PlanStore } from '../../shared/plan/plan-store';
import { TODAY_WORDS } from './words';

const { pack } = DEFAULT_SETTINGS;

/** Daily cards begin: a pattern is chosen for one time, or found from several. */
@Component({
  selector: 'zp-begin-cards',
  imports: [
    FormsModule,
    MatButton,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    MatFormField,
    MatHint,
    MatInput,
    MatLabel,
    MatOption,
    MatSelect,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ words().beginCards.heading }}</h2>
    <mat-dialog-content>
      <form id="begin-cards" novalidate (submit)="begin($event)">
        <mat-form-field appearance="outline">
          <mat-label>{{ words().beginCards.times }}</mat-label>
          <input
            matInput
            name="times"
            autocomplete="off"
            spellcheck="false"
            [ngModel]="typed()"
            (ngModelChange)="typed.set($event)"
            [attr.aria-invalid]="problem() !== null"
            aria-describedby="cards-problem"
          />
          <mat-hint>{{ words().beginCards.hint }}</mat-hint>
        </mat-form-field>
        <mat-form-field appearance="outline">
          <mat-label>{{ words().beginCards.step }}</mat-label>
          <mat-select name="step" [ngModel]="chosen()" (ngModelChange)="chosen.set($event)">
            @for (one of words().beginCards.steps; track one.text) {
              <mat-option [value]="$index">{{ one.text }}</mat-option>
            }
          </mat-select>
        </mat-form-field>
      </form>
      @if (problem(); as problem) {
        <p id="cards-problem" class="problem" role="alert">{{ problem }}</p>
      }
    </mat-dialog-content>
    <mat-dialog-actions align="start">
      <button mat-stroked-button type="button" mat-dialog-close>{{ words().beginCards.leave }}</button>
      <button mat-flat-button type="submit" form="begin-cards">{{ words().beginCards.begin }}</button>
    </mat-dialog-actions>
  `,
  styles: `
    form {
      display: grid;
      gap: 16px;
      padding-top: 8px;
    }
    .problem {
      margin-top: 12px;
    }
  `,
})
export class BeginCards {
  private readonly data = inject<{ readonly plans: InstanceType<typeof PlanStore>; readonly today: IsoDate }>(MAT_DIALOG_DATA);
  private readonly dialog = inject(MatDialogRef);
  protected readonly words = TODAY_WORDS;
  protected readonly typed = signal('');
  protected readonly chosen = signal(1);
  protected readonly problem = signal<string | null>(null);

  protected begin(event: Event): void {
    event.preventDefault();
    const read = this.read();
    this.problem.set('problem' in read ? read.problem : null);
    if (!('pattern' in read)) return;
    this.data.plans.change((plan) => ({ ...plan, cards: { pattern: read.pattern, startsOn: this.data.today, shown: 0 } }));
    this.dialog.close();
  }

  /** The pattern that is meant: found from several times, or chosen for one. */
  private read(): { readonly pattern: CardPattern } | { readonly problem: string } {
    const { beginCards } = this.words();
    const typed = this.typed()
      .split(',')
      .map((one) => one.trim())
      .filter(Boolean);
    const times: SecondOfDay[] = [];
    for (const one of typed) {
      const entry = readTimeEntry(one, pack, times.at(-1) ?? secondOfDay(8, 0));
      if ('problem' in entry) return { problem: beginCards.notOne(one, entry.problem) };
      times.push(entry.at);
    }
    const [first] = times;
    if (first === undefined) return { problem: beginCards.missing };
    if (times.length === 1) return { pattern: { firstSec: first, stepsMin: beginCards.steps[this.chosen()]!.stepsMin } };
    const pattern = patternOf(times);
    const said = times.map((at) => bestWording(at, WORD_PACKS[pack])).join(', ');
    return pattern ? { pattern } : { problem: beginCards.noPattern(said) };
  }
}
