import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatExpansionPanel, MatExpansionPanelHeader } from '@angular/material/expansion';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { MatRadioButton, MatRadioGroup } from '@angular/material/radio';
import { isRightVerdict } from '@zeitpunkt/core/question-kinds/verdict';
import type { MarkCorrect, MarkedResponse } from '@zeitpunkt/contract';
import { VERDICT_WORDS } from '../../shared/verdict-words';
import { REVIEW_WORDS } from './words';

/** Corrects the mark of an answer, with a reason; what was marked at first stays beside it and can be brought back. */
@Component({
  selector: 'zp-mark-correction',
  imports: [MatButton, MatExpansionPanel, MatExpansionPanelHeader, MatFormField, MatInput, MatLabel, MatRadioButton, MatRadioGroup],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (given().correction; as correction) {
      <p>
        <strong>{{ said().corrected }}</strong> {{ said().from(words[correction.was].words, correction.reason) }}
        <button mat-stroked-button type="button" (click)="asAtFirst.emit()">{{ said().takeBack }}</button>
      </p>
    }
    @for (wording of wordings(); track wording) {
      <button mat-stroked-button type="button" (click)="accepted.emit(wording)">{{ said().letCount(wording) }}</button>
    }
    <mat-expansion-panel class="mat-elevation-z0">
      <mat-expansion-panel-header>{{ said().correct }}</mat-expansion-panel-header>
      <form novalidate (submit)="correct($event)">
        <mat-radio-group [attr.aria-label]="said().itIs" [value]="verdict()" (change)="chosen.set($event.value)">
          @for (one of choices(); track one) {
            <mat-radio-button [value]="one">{{ words[one].words }}</mat-radio-button>
          }
        </mat-radio-group>
        <mat-form-field appearance="outline" subscriptSizing="dynamic">
          <mat-label>{{ said().why }}</mat-label>
          <input
            #why
            matInput
            maxlength="300"
            [value]="reason()"
            [attr.aria-invalid]="problem() !== null"
            aria-describedby="reason-problem"
            (input)="reason.set(why.value)"
          />
        </mat-form-field>
        @if (problem(); as problem) {
          <p id="reason-problem" class="problem" role="alert">{{ problem }}</p>
        }
        <button mat-stroked-button type="submit">{{ said().press }}</button>
      </form>
    </mat-expansion-panel>
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.5rem;
    }
    form {
      display: grid;
      gap: 0.4rem;
      justify-items: start;
      margin-top: 0.4rem;
    }
    mat-form-field {
      width: 100%;
    }
  `,
})
export class MarkCorrection {
  readonly given = input.required<MarkedResponse>();
  /** What was written that is not taken for the time. */
  readonly wordings = input.required<readonly string[]>();
  readonly corrected = output<{ readonly verdict: MarkCorrect['verdict']; readonly reason: string }>();
  readonly asAtFirst = output();
  readonly accepted = output<string>();
  private readonly catalogue = REVIEW_WORDS;
  protected readonly said = computed(() => this.catalogue().mark);
  protected readonly words = VERDICT_WORDS;
  protected readonly chosen = signal<MarkCorrect['verdict'] | null>(null);
  protected readonly reason = signal('');
  protected readonly problem = signal<string | null>(null);
  /** Any but what it is now. */
  protected readonly choices = computed(() => {
    const { verdict } = this.given().mark;
    return (['right', 'partly', 'not-yet'] as const).filter((one) => one !== verdict && !(one === 'right' && isRightVerdict(verdict)));
  });
  protected readonly verdict = computed(() => {
    const chosen = this.chosen();
    return chosen && this.choices().includes(chosen) ? chosen : this.choices()[0]!;
  });

  protected correct(event: Event): void {
    event.preventDefault();
    if (this.reason().trim() === '') return this.problem.set(this.said().sayWhy);
    this.problem.set(null);
    this.corrected.emit({ verdict: this.verdict(), reason: this.reason().trim() });
    this.reason.set('');
  }
}
