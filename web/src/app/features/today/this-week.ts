import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatIconButton } from '@angular/material/button';
import { Icon } from '../../ui/icons/icon';
import { RouterLink } from '@angular/router';
import type { IsoDate } from '@zeitpunkt/core/series/plan';
import { dayOf, daysOn, mondayOf, weekdayOf } from '@zeitpunkt/core/series/school-days';
import { Course } from '../../shared/course/course';
import { clockTime, longDay, shortWeekday } from '../../shared/words/days';
import { SmallDial } from '../../ui/parts/small-dial';
import { TODAY_WORDS } from './words';

interface DayOfWeek {
  readonly date: IsoDate;
  readonly when: string;
  readonly isToday: boolean;
  readonly isOver: boolean;
  readonly isOff: boolean;
  readonly lessons: readonly {
    readonly title: string;
    readonly link: readonly string[];
    readonly timeSec: number | null;
    readonly given: boolean;
  }[];
}

/** The school days of this week, or of the next one at the weekend: what was given, what comes, what is free. */
@Component({
  selector: 'zp-this-week',
  imports: [Icon, MatIconButton, RouterLink, SmallDial],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>{{ isNext() ? words().week.next : words().week.heading }}</h2>
    <ul>
      @for (day of days(); track day.date) {
        <li [class.today]="day.isToday">
          <span class="when">{{ day.when }}</span>
          <div>
            @for (lesson of day.lessons; track lesson.link) {
              <a [routerLink]="lesson.link">
                @if (lesson.timeSec !== null) {
                  <zp-dial [at]="lesson.timeSec" [size]="28" />
                }
                <span
                  >{{ lesson.title }}
                  @if (lesson.given) {
                    <span class="soft">{{ words().week.given }}</span>
                  }
                </span>
              </a>
            } @empty {
              @if (day.isOff) {
                <span class="soft off">{{ words().week.off }}</span>
              } @else if (day.isOver) {
                <span class="soft off">{{ words().week.free }}</span>
              } @else {
                <span class="free">
                  <a
                    mat-icon-button
                    routerLink="/ladder"
                    [queryParams]="{ day: day.date }"
                    [attr.aria-label]="words().week.draftFor(longDay(day.date))"
                  >
                    <mat-icon svgIcon="add" />
                  </a>
                  <span class="soft">{{ words().week.free }}</span>
                </span>
              }
            }
          </div>
        </li>
      }
    </ul>
  `,
  styles: `
    h2 {
      font-size: 18px;
      line-height: 28px;
    }
    ul {
      margin: 0;
      padding: 0;
      list-style: none;
    }
    li {
      display: grid;
      grid-template-columns: 84px minmax(0, 1fr);
      align-items: center;
      min-height: 36px;
      font-size: 14px;
      line-height: 20px;
    }
    li + li {
      border-top: 1px solid var(--faint);
    }
    .today {
      font-weight: 700;
    }
    .soft {
      color: var(--soft);
      font-weight: 400;
    }
    .off {
      padding-left: 40px;
    }
    li a:not([mat-icon-button]) {
      display: flex;
      gap: 12px;
      align-items: center;
      min-height: 36px;
      text-decoration: none;
    }
    li a:not([mat-icon-button]):hover {
      text-decoration: underline;
    }
    .free {
      display: flex;
      gap: 4px;
      align-items: center;
      margin-left: -4px;
    }
  `,
})
export class ThisWeek {
  private readonly course = inject(Course);
  protected readonly words = TODAY_WORDS;
  protected readonly longDay = longDay;
  /** At the weekend, and once the last school day is behind, the week to come is what is looked at. */
  protected readonly isNext = computed(() => weekdayOf(this.course.today()) > Math.max(...this.course.plans.plan().schoolDays));
  protected readonly days = computed((): readonly DayOfWeek[] => {
    const { course } = this;
    const { schoolDays, daysOff, times } = course.plans.plan();
    // Where lessons have their times, days without one are shown only if something stands on them.
    const stands = new Set([...course.plannedOn().values(), ...course.taught().map(({ createdAtMs }) => dayOf(createdAtMs))]);
    const monday = daysOn(mondayOf(course.today()), this.isNext() ? 7 : 0);
    return Array.from({ length: 7 }, (_, index) => daysOn(monday, index))
      .filter(
        (date) =>
          schoolDays.includes(weekdayOf(date)) &&
          (times.length === 0 || date === course.today() || course.beginsAt(date) !== null || stands.has(date)),
      )
      .map((date) => {
        const atSec = course.beginsAt(date);
        const given = course.taught().filter(({ createdAtMs }) => dayOf(createdAtMs) === date);
        const planned = [...course.plannedOn()].filter(([, on]) => on === date);
        return {
          date,
          when: atSec === null ? shortWeekday(date) : `${shortWeekday(date)} ${clockTime(atSec)}`,
          isToday: date === course.today(),
          isOver: date < course.today(),
          isOff: daysOff.includes(date),
          lessons: [
            ...given.map(({ id, lessonId, title }) => ({ title, link: ['/review', id], timeSec: this.timeOf(lessonId), given: true })),
            ...planned.flatMap(([id]) => {
              const lesson = course.shelf.byId().get(id);
              return lesson ? [{ title: lesson.title, link: ['/lessons', id], timeSec: this.timeOf(id), given: false }] : [];
            }),
          ],
        };
      });
  });

  private timeOf(lessonId: string): number | null {
    return this.course.shelf.byId().get(lessonId)?.facts?.times[0] ?? null;
  }
}
