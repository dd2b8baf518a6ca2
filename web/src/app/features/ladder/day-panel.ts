import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatMenuTrigger } from '@angular/material/menu';
import { MatTooltip } from '@angular/material/tooltip';
import { RouterLink } from '@angular/router';
import type { ClassPlan, IsoDate } from '@zeitpunkt/core/series/plan';
import { dayOf } from '@zeitpunkt/core/series/school-days';
import { moveInSeries, plannedLessons, seriesLessons, takeOutOfPlan, toggleDayOff, toggleSkipped } from '@zeitpunkt/core/series/series';
import type { LessonSummary, SessionSummary } from '@zeitpunkt/contract';
import type { DayChoice } from '../../shared/plan/day-choices';
import { DayMenu } from '../../shared/plan/day-menu';
import { movesInWords } from '../../shared/plan/moves-in-words';
import { longDay } from '../../shared/words/days';
import { LADDER_WORDS } from './words';

export type PlanEdit = (plan: ClassPlan) => ClassPlan;

/** What is planned for one day, and what can be done about it. */
@Component({
  selector: 'zp-day-panel',
  imports: [DayMenu, MatButton, MatMenuTrigger, MatTooltip, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <strong>{{ said() }}</strong>
    @for (session of givenThen(); track session.id) {
      <span>{{ words().given(session.title) }}</span>
      <a mat-stroked-button [routerLink]="['/review', session.id]"
        >{{ words().review }}<span class="heard-only">{{ words().ofDay }}</span></a
      >
    }
    @for (one of planned(); track one.lesson.id) {
      <div class="planned">
        <span>{{ one.number ? words().number(one.number, one.of, one.lesson.title) : words().besideIt(one.lesson.title) }}</span>
        <button mat-stroked-button type="button" [disabled]="!one.lesson.facts" (click)="opened.emit(one.lesson)">
          {{ words().open }}<span class="heard-only">{{ words().forOfDay(one.lesson.title) }}</span>
        </button>
        <a mat-button [routerLink]="['/lessons', one.lesson.id]"
          >{{ words().edit }}<span class="heard-only">{{ words().titledOfDay(one.lesson.title) }}</span></a
        >
        <button mat-button type="button" [matMenuTriggerFor]="days.menu()" [matMenuTriggerData]="{ of: one.lesson.id }">
          {{ words().move }}<span class="heard-only">{{ words().titled(one.lesson.title) }}</span>
        </button>
        @if (one.number) {
          <button mat-button type="button" [disabled]="one.number === 1" (click)="edit.emit(move(one.lesson.id, -1))">
            {{ words().change }}
          </button>
          <button mat-button type="button" [matTooltip]="saysMoves(notHeld())" (click)="edit.emit(notHeld())">
            {{ words().notHeld }}
          </button>
        }
        <button mat-button type="button" [matTooltip]="saysMoves(without(one.lesson.id))" (click)="edit.emit(without(one.lesson.id))">
          {{ words().takeOut }}<span class="heard-only">{{ words().titled(one.lesson.title) }}</span>
        </button>
      </div>
    } @empty {
      @if (isSkipped()) {
        <span>{{ words().noneHeld }}</span>
        <button mat-button type="button" [matTooltip]="saysMoves(notHeld())" (click)="edit.emit(notHeld())">
          {{ words().heldAfterAll }}
        </button>
      } @else if (givenThen().length === 0) {
        <span class="soft">{{ isOff() ? words().off : words().none }}</span>
      }
    }
    <button mat-button type="button" [matTooltip]="saysMoves(off())" (click)="edit.emit(off())">
      {{ isOff() ? words().makeSchoolDay : words().makeOff }}
    </button>
    <zp-day-menu #days [days]="choices()" (chosen)="moved.emit({ lessonId: $event.of, date: $event.day.date })" />
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: 0.25rem 0.75rem;
      align-items: center;
      min-height: 2.6rem;
    }
    .planned {
      display: flex;
      flex-wrap: wrap;
      gap: 0.25rem 0.75rem;
      align-items: center;
      width: 100%;
    }
    .soft {
      color: var(--soft);
    }
  `,
})
export class DayPanel {
  readonly plan = input.required<ClassPlan>();
  readonly date = input.required<IsoDate>();
  readonly lessons = input.required<readonly LessonSummary[]>();
  /** What the class was taught, on whatever day. */
  readonly given = input.required<readonly SessionSummary[]>();
  /** The next school days, to which a lesson of this one can be moved. */
  readonly choices = input.required<readonly DayChoice[]>();
  readonly edit = output<PlanEdit>();
  readonly moved = output<{ readonly lessonId: string; readonly date: IsoDate }>();
  readonly opened = output<LessonSummary>();

  private readonly all = LADDER_WORDS;
  protected readonly words = computed(() => this.all().dayPanel);
  protected readonly said = computed(() => longDay(this.date()));
  protected readonly isOff = computed(() => this.plan().daysOff.includes(this.date()));
  protected readonly isSkipped = computed(() => this.plan().series?.skipped.includes(this.date()) ?? false);
  protected readonly givenThen = computed(() => this.given().filter(({ createdAtMs }) => dayOf(createdAtMs) === this.date()));
  /** Lessons of the day that were not given yet; those of the series with their number. */
  protected readonly planned = computed(() => {
    const [plan, date] = [this.plan(), this.date()];
    const series = seriesLessons(plan);
    return plannedLessons(plan).flatMap((one) => {
      const lesson = this.lessons().find(({ id }) => id === one.lessonId);
      const isGiven = this.givenThen().some(({ lessonId }) => lessonId === one.lessonId);
      if (one.date !== date || !lesson || isGiven) return [];
      return [{ lesson, number: series.findIndex(({ lessonId }) => lessonId === lesson.id) + 1, of: series.length }];
    });
  });

  /** What a change would move, said before it is made: “Any minute” goes to Friday 11 December, and 2 after it. */
  protected saysMoves(change: PlanEdit): string {
    return movesInWords(this.plan(), change(this.plan()), (id) => this.titleOf(id));
  }

  private titleOf(id: string): string | null {
    return this.lessons().find((lesson) => lesson.id === id)?.title ?? null;
  }

  protected move(lessonId: string, by: number): PlanEdit {
    return (plan) => moveInSeries(plan, lessonId, by);
  }

  protected notHeld(): PlanEdit {
    const date = this.date();
    return (plan) => toggleSkipped(plan, date);
  }

  protected without(lessonId: string): PlanEdit {
    return (plan) => takeOutOfPlan(plan, lessonId);
  }

  protected off(): PlanEdit {
    const date = this.date();
    return (plan) => toggleDayOff(plan, date);
  }
}
