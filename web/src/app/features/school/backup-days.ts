import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { dayOf, daysOn } from '@zeitpunkt/core/series/school-days';
import { dayAndMonth, shortWeekday } from '../../shared/words/days';
import { SCHOOL_WORDS } from './words';

/** So many days back are shown. */
const DAYS = 14;

/** The last fortnight as a row of boxes: filled where a backup of that day lies there. */
@Component({
  selector: 'zp-backup-days',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="boxes" role="img" [attr.aria-label]="words().days(made(), missing())">
      @for (day of days(); track day.date) {
        <span [class.made]="day.made" [class.before]="day.before"></span>
      }
    </div>
    <div class="ends facts" aria-hidden="true">
      <span>{{ nameOf(days()[0]!.date) }}</span>
      <span>{{ words().today }}</span>
    </div>
  `,
  styles: `
    :host {
      display: block;
      margin: 8px 0;
    }
    .boxes {
      display: grid;
      grid-template-columns: repeat(14, minmax(0, 1fr));
      gap: 4px;
    }
    .boxes span {
      height: 24px;
      border: 1px dashed var(--line);
      border-radius: 2px;
    }
    .boxes .made {
      border: 0;
      background: var(--ink);
    }
    .boxes .before {
      border-style: solid;
      opacity: 0.4;
    }
    .ends {
      display: flex;
      justify-content: space-between;
      margin-top: 4px;
    }
  `,
})
export class BackupDays {
  /** When backups were made, in milliseconds since 1970. */
  readonly kept = input.required<readonly number[]>();
  private readonly catalogue = SCHOOL_WORDS;
  protected readonly words = computed(() => this.catalogue().backups);
  protected readonly nameOf = dayAndMonth;
  protected readonly days = computed(() => {
    const made = new Set(this.kept().map(dayOf));
    const first = [...made].sort()[0];
    const today = dayOf(Date.now());
    return Array.from({ length: DAYS }, (_, index) => {
      const date = daysOn(today, index + 1 - DAYS);
      // What lies before the first one is no gap: none was made yet, or it is kept no longer.
      return { date, made: made.has(date), before: first === undefined || date < first };
    });
  });
  protected readonly made = computed(() => this.days().filter(({ made }) => made).length);
  /** Days without one, but for today's, which may still come. */
  protected readonly missing = computed(() =>
    this.days()
      .slice(0, -1)
      .filter(({ made, before }) => !made && !before)
      .map(({ date }) => `${shortWeekday(date)} ${dayAndMonth(date)}`),
  );
}
