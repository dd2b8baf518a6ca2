import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { daysThatCount, seriesWishes, type ClassPlan, type IsoDate, type RungId, type Weekday, dayWords } from '@zeitpunkt/core';
import { Choice } from '../../ui/choice';
import { isLength, LEAST_MINUTES, LENGTH_PROBLEM, MOST_MINUTES, RUNG_OPTIONS, rungOfOption } from './wish-parts';
import type { SeriesOrder } from './plan-store';

const WEEKDAYS: readonly { readonly value: Weekday; readonly text: string }[] = [
  { value: 1, text: 'Mon' },
  { value: 2, text: 'Tue' },
  { value: 3, text: 'Wed' },
  { value: 4, text: 'Thu' },
  { value: 5, text: 'Fri' },
];

/** From "from half past to quarter to, two lessons a week" to lessons that are drafted, each for its place, and planned on their days. */
@Component({
  selector: 'zp-series-form',
  imports: [Choice, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (drafting(); as drafting) {
      <p role="status">
        <progress [value]="drafting.done" [max]="drafting.of" aria-label="Lessons drafted"></progress>
        {{ drafting.done }} of {{ drafting.of }} lessons are drafted.
        <button mat-stroked-button type="button" (click)="stop.emit()">Stop</button>
      </p>
    } @else {
      <form novalidate (submit)="order($event)">
        <label>
          From
          <select class="field" #first (change)="from.set(rungOf(first.value))">
            @for (one of rungs; track one.id) {
              <option [value]="one.id" [selected]="one.id === from()">{{ one.name }}</option>
            }
          </select>
        </label>
        <label>
          to
          <select class="field" #last (change)="to.set(rungOf(last.value))">
            @for (one of upwards(); track one.id) {
              <option [value]="one.id" [selected]="one.id === to()">{{ one.name }}</option>
            }
          </select>
        </label>
        <zp-choice label="Lessons a rung" [options]="counts" [value]="perRung()" (chosen)="perRung.set($event)" />
        <label>
          Minutes each
          <input
            #length
            class="field short"
            type="number"
            [min]="least"
            [max]="most"
            [value]="minutes()"
            [attr.aria-invalid]="!isLengthRight()"
            (input)="minutes.set(length.valueAsNumber)"
          />
        </label>
        @if (!plan().series) {
          <label>
            From the day
            <input #day class="field" type="date" [value]="startsOn()" (change)="startsOn.set(day.value)" />
          </label>
          <div class="weekdays" role="group" aria-label="On which days">
            @for (one of weekdayChoices; track one.value) {
              <button type="button" class="press" [attr.aria-pressed]="weekdays().includes(one.value)" (click)="toggle(one.value)">
                {{ one.text }}
              </button>
            }
          </div>
        }
        <button mat-flat-button type="submit" [disabled]="problem() !== null">Draft {{ wishes().length }} lessons</button>
      </form>
      <p class="facts" [class.problem]="problem()" role="status">{{ problem() ?? words() }}</p>
    }
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
    .short {
      width: 5rem;
    }
    .weekdays {
      display: flex;
    }
    .facts {
      margin-top: 0.4rem;
    }
  `,
})
export class SeriesForm {
  readonly plan = input.required<ClassPlan>();
  readonly suggested = input.required<RungId>();
  readonly today = input.required<IsoDate>();
  /** The rung of the lesson before the series; null where none was. */
  readonly before = input.required<RungId | null>();
  readonly drafting = input.required<{ readonly done: number; readonly of: number } | null>();
  readonly ordered = output<SeriesOrder>();
  readonly stop = output();

  protected readonly rungs = RUNG_OPTIONS;
  protected readonly rungOf = rungOfOption;
  protected readonly weekdayChoices = WEEKDAYS;
  protected readonly least = LEAST_MINUTES;
  protected readonly most = MOST_MINUTES;
  protected readonly counts = [1, 2, 3].map((value) => ({ value, text: String(value) }));
  protected readonly from = linkedSignal(() => this.suggested());
  protected readonly upwards = computed(() => RUNG_OPTIONS.slice(RUNG_OPTIONS.findIndex(({ id }) => id === this.from())));
  protected readonly to = linkedSignal(() => this.upwards()[Math.min(2, this.upwards().length - 1)]!.id);
  protected readonly perRung = signal(2);
  protected readonly minutes = signal(20);
  protected readonly startsOn = linkedSignal<IsoDate>(() => this.today());
  protected readonly weekdays = signal<readonly Weekday[]>([2, 4]);
  protected readonly isLengthRight = computed(() => isLength(this.minutes()));
  protected readonly wishes = computed(() => seriesWishes(this.from(), this.to(), this.perRung(), this.before()));

  protected readonly problem = computed(() => {
    if (!this.isLengthRight()) return LENGTH_PROBLEM;
    if (!this.plan().series && this.weekdays().length === 0) return 'Choose at least one day of the week.';
    if (!this.plan().series && !this.startsOn()) return 'Choose the day from which on lessons are given.';
    return null;
  });
  /** When the series would end, or where it would go. */
  protected readonly words = computed(() => {
    const { series, daysOff } = this.plan();
    if (series) return `They come after the ${series.lessonIds.length} lessons that are planned.`;
    const rule = { weekdays: this.weekdays(), off: new Set(daysOff) };
    const last = daysThatCount(this.startsOn(), this.wishes().length, rule).at(-1);
    return last ? `The last one would be on ${dayWords(last)}.` : '';
  });

  protected toggle(weekday: Weekday): void {
    this.weekdays.update((all) => (all.includes(weekday) ? all.filter((one) => one !== weekday) : [...all, weekday].sort()));
  }

  protected order(event: Event): void {
    event.preventDefault();
    if (this.problem() !== null) return;
    const [minutes, startsOn, weekdays] = [this.minutes(), this.startsOn(), this.weekdays()];
    this.ordered.emit({ wishes: this.wishes(), minutes, delivery: 'live', startsOn, weekdays });
  }
}
