import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { isRightVerdict } from '@zeitpunkt/core';
import type { MarkCorrect, MarkedResponse } from '@zeitpunkt/contract';
import { VERDICT_WORDS } from '../../shared/verdict-words';

/** Corrects the mark of an answer, with a reason; what was marked at first stays beside it and can be brought back. */
@Component({
  selector: 'zp-mark-correction',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (given().correction; as correction) {
      <p>
        <strong>Corrected</strong> from “{{ words[correction.was].words }}”: {{ correction.reason }}
        <button mat-stroked-button type="button" (click)="asAtFirst.emit()">Take it back</button>
      </p>
    }
    @for (wording of wordings(); track wording) {
      <button mat-stroked-button type="button" (click)="accepted.emit(wording)">Let “{{ wording }}” count for the whole class</button>
    }
    <details>
      <summary>Correct this mark</summary>
      <form novalidate (submit)="correct($event)">
        <fieldset>
          <legend>It is</legend>
          @for (one of choices(); track one) {
            <label
              ><input type="radio" name="verdict" [value]="one" [checked]="one === verdict()" (change)="chosen.set(one)" />
              {{ words[one].words }}</label
            >
          }
        </fieldset>
        <label for="reason">Why</label>
        <input
          #why
          id="reason"
          class="field"
          maxlength="300"
          [value]="reason()"
          [attr.aria-invalid]="problem() !== null"
          aria-describedby="reason-problem"
          (input)="reason.set(why.value)"
        />
        @if (problem(); as problem) {
          <p id="reason-problem" class="problem" role="alert">{{ problem }}</p>
        }
        <button mat-stroked-button type="submit">Correct it</button>
      </form>
    </details>
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.5rem;
    }
    summary {
      cursor: pointer;
    }
    form {
      display: grid;
      gap: 0.4rem;
      justify-items: start;
      margin-top: 0.4rem;
    }
    fieldset {
      display: flex;
      flex-wrap: wrap;
      gap: 0.25rem 1rem;
      margin: 0;
      padding: 0;
      border: 0;
    }
    legend {
      float: left;
      margin-right: 0.75rem;
    }
    .field {
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
    if (this.reason().trim() === '') return this.problem.set('Say why in a few words: whoever looks at it later will want to know.');
    this.problem.set(null);
    this.corrected.emit({ verdict: this.verdict(), reason: this.reason().trim() });
    this.reason.set('');
  }
}
