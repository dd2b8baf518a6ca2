import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Icon } from '../../ui/icons/icon';
import { RouterLink } from '@angular/router';
import { RUNGS } from '@zeitpunkt/core/ladder/registry';
import { daysOn } from '@zeitpunkt/core/series/school-days';
import { schoolDaysFrom } from '@zeitpunkt/core/series/series';
import { Course, SHORT_LESSON_MIN } from '../../shared/course/course';
import { exampleOf } from '../../shared/ladder/example-of';
import { MASTERY_WORDS } from '../../shared/insight/mastery-words';
import { longDay, weekday } from '../../shared/words/days';
import { SmallDial } from '../../ui/parts/small-dial';
import { Ticks } from '../../ui/parts/ticks';
import { TODAY_WORDS } from './words';

const ORDER = ['sure', 'nearly', 'partly', 'not-yet', 'too-few'] as const;

/** One thing to do after what is planned, with its reason: the rung, where the class stands on it, and the press that drafts it. */
@Component({
  selector: 'zp-suggestion',
  imports: [MatButton, Icon, RouterLink, SmallDial, Ticks],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>{{ words().suggestion.heading }}</h2>
    <div class="what">
      <zp-dial [at]="at()" [size]="72" />
      <div>
        <h3>{{ rung().name }}</h3>
        <p>{{ suggestion().why }}</p>
      </div>
    </div>
    @if (counts(); as counts) {
      <zp-ticks [counts]="counts" />
      <p class="counts">{{ said() }}</p>
    }
    <div class="presses">
      <button mat-stroked-button type="button" [disabled]="course.shelf.adding()" (click)="draft()">
        <mat-icon svgIcon="add" />{{ course.shelf.adding() ? words().suggestion.drafting : press() }}
      </button>
      <a mat-button [routerLink]="['/classes', course.current.id(), 'review', 'map']"
        ><mat-icon svgIcon="groups" />{{ words().suggestion.who }}</a
      >
    </div>
  `,
  styles: `
    :host {
      display: grid;
      gap: 12px;
      padding-top: 8px;
      border-top: 2px solid var(--ink);
    }
    h2 {
      font-size: 18px;
      line-height: 36px;
    }
    h3 {
      font-size: 18px;
      line-height: 24px;
    }
    .what {
      display: flex;
      gap: 16px;
      align-items: center;
    }
    .what p {
      color: var(--soft);
      font-size: 14px;
      line-height: 20px;
    }
    .counts {
      margin-top: -8px;
      font-size: 14px;
      line-height: 20px;
    }
    .presses {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
    }
  `,
})
export class SuggestionPart {
  protected readonly course = inject(Course);
  protected readonly words = TODAY_WORDS;
  protected readonly suggestion = this.course.afterLast;
  protected readonly rung = computed(() => RUNGS[this.suggestion().rung]);
  protected readonly at = computed(() => exampleOf(this.suggestion().rung));
  protected readonly counts = computed(
    () => this.course.standing()?.rungs.find(({ rung }) => rung === this.suggestion().rung)?.words ?? null,
  );
  protected readonly said = computed(() => {
    const counts = this.counts();
    return counts
      ? this.words().suggestion.counts(
          ORDER.flatMap((word) => (counts[word] > 0 ? [[counts[word], MASTERY_WORDS()[word].words] as const] : [])),
        )
      : '';
  });
  /** The next school day on which nothing stands. */
  private readonly day = computed(() => {
    const taken = new Set(this.course.plannedOn().values());
    const days = schoolDaysFrom(this.course.plans.plan(), daysOn(this.course.today(), 1), 30);
    return days.find((date) => !taken.has(date)) ?? null;
  });
  protected readonly press = computed(() => {
    const [day, { suggestion }] = [this.day(), this.words()];
    return day === null ? suggestion.draft : suggestion.draftFor(daysOn(this.course.today(), 7) > day ? weekday(day) : longDay(day));
  });

  protected async draft(): Promise<void> {
    const [day, classId] = [this.day(), this.course.current.id()];
    const wish = { rung: this.suggestion().rung, minutes: SHORT_LESSON_MIN, delivery: 'live' as const };
    const id = await this.course.shelf.draft({ ...wish, ...(classId !== null && { classId }) });
    if (id === null || day === null) return;
    this.course.put(id, day);
  }
}
