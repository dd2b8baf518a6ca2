import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { dayWords, type IsoDate, type RungId } from '@zeitpunkt/core';
import type { DraftWish } from '@zeitpunkt/contract';
import { Choice } from '../../ui/choice';
import { isLength, LEAST_MINUTES, LENGTH_PROBLEM, MOST_MINUTES, RUNG_OPTIONS, rungOfOption } from './wish-parts';

/** From "we are at quarter past, fifteen minutes, live" to a whole lesson. */
@Component({
  selector: 'zp-draft-form',
  imports: [Choice, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 id="draft">Draft a lesson</h2>
    <form novalidate aria-labelledby="draft" (submit)="draft($event)">
      <label>
        We are at
        <select class="field" #rung (change)="choose.emit(rungOf(rung.value))">
          @for (one of rungs; track one.id) {
            <option [value]="one.id" [selected]="one.id === suggested()">{{ one.name }}</option>
          }
        </select>
      </label>
      <label>
        Minutes
        <input
          #length
          class="field minutes"
          type="number"
          [min]="least"
          [max]="most"
          [value]="minutes()"
          [attr.aria-invalid]="!isLengthRight()"
          aria-describedby="draft-problem"
          (input)="minutes.set(length.valueAsNumber)"
        />
      </label>
      <zp-choice label="Taught" [options]="ways" [value]="delivery()" (chosen)="delivery.set($event)" />
      <button mat-flat-button type="submit" [disabled]="busy()">
        {{ busy() ? 'Drafting …' : day() ? 'Draft it for ' + words(day()!) : 'Draft it' }}
      </button>
      <button mat-button type="button" [disabled]="busy()" (click)="wish(true)">Begin an empty one</button>
    </form>
    @if (!isLengthRight()) {
      <p id="draft-problem" class="problem" role="alert">{{ lengthProblem }}</p>
    }
    <p class="facts">{{ why() }}</p>
  `,
  styles: `
    form {
      display: flex;
      flex-wrap: wrap;
      gap: 0.5rem 1rem;
      align-items: center;
    }
    label {
      display: flex;
      gap: 0.5rem;
      align-items: center;
    }
    .minutes {
      width: 5rem;
    }
    .facts {
      margin-top: 0.4rem;
    }
  `,
})
export class DraftForm {
  /** The rung at hand: the one that is suggested until another is chosen. */
  readonly suggested = input.required<RungId>();
  /** Why a rung is suggested. */
  readonly why = input.required<string>();
  /** Whose daily times it may speak of. */
  readonly classId = input.required<string | undefined>();
  readonly choose = output<RungId>();
  readonly busy = input.required<boolean>();
  /** The day that it is put on; null where none is chosen. */
  readonly day = input<IsoDate | null>(null);
  protected readonly words = dayWords;
  readonly wished = output<Omit<DraftWish, 'id'>>();

  protected readonly least = LEAST_MINUTES;
  protected readonly most = MOST_MINUTES;
  protected readonly lengthProblem = LENGTH_PROBLEM;
  protected readonly rungs = RUNG_OPTIONS;
  protected readonly rungOf = rungOfOption;
  protected readonly ways = [
    { value: 'live', text: 'live' },
    { value: 'recorded', text: 'recorded' },
  ] as const;
  protected readonly minutes = signal(15);
  protected readonly delivery = signal<'live' | 'recorded'>('live');
  protected readonly isLengthRight = computed(() => isLength(this.minutes()));

  protected draft(event: Event): void {
    event.preventDefault();
    this.wish(false);
  }

  protected wish(empty: boolean): void {
    if (!this.isLengthRight()) return;
    const classId = this.classId();
    const wish = { rung: this.suggested(), minutes: this.minutes(), delivery: this.delivery() };
    this.wished.emit({ ...wish, ...(classId !== undefined && { classId }), ...(empty && { empty }) });
  }
}
