import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { dayEventsText, DEFAULT_SETTINGS, readDayEvents, WORD_PACKS, type ClassPlan } from '@zeitpunkt/core';
import type { PlanEdit } from './day-panel';

/** The class's own day: times that drafted lessons speak of. */
@Component({
  selector: 'zp-own-day',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form novalidate (submit)="keep($event, lines.value)">
      <label for="own-day">Times of the class’s own day, one a line</label>
      <textarea
        #lines
        id="own-day"
        class="field"
        rows="4"
        placeholder="7:45 the school ferry leaves"
        [value]="text()"
        [attr.aria-invalid]="problem() !== null"
        aria-describedby="own-day-problem"
      ></textarea>
      <button mat-stroked-button type="submit">Keep these times</button>
    </form>
    @if (problem(); as problem) {
      <p id="own-day-problem" class="problem" role="alert">{{ problem }}</p>
    }
  `,
  styles: `
    form {
      display: grid;
      gap: 0.4rem;
      justify-items: start;
    }
    textarea {
      width: 100%;
    }
  `,
})
export class OwnDay {
  readonly plan = input.required<ClassPlan>();
  readonly edit = output<PlanEdit>();
  protected readonly problem = signal<string | null>(null);
  protected readonly text = computed(() => dayEventsText(this.plan().daily));

  protected keep(event: Event, text: string): void {
    event.preventDefault();
    const entry = readDayEvents(text, WORD_PACKS[DEFAULT_SETTINGS.pack]);
    this.problem.set('problem' in entry ? entry.problem : null);
    if ('events' in entry) this.edit.emit((plan) => ({ ...plan, daily: entry.events }));
  }
}
