import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import {
  moveInSeries,
  plannedLessons,
  removeFromSeries,
  toggleDayOff,
  toggleSkipped,
  type ClassPlan,
  type IsoDate,
  dayWords,
  dayOf,
} from '@zeitpunkt/core';
import type { LessonSummary, SessionSummary } from '@zeitpunkt/contract';

export type PlanEdit = (plan: ClassPlan) => ClassPlan;

/** What is planned for one day, and what can be done about it. */
@Component({
  selector: 'zp-day-panel',
  imports: [MatButton, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <strong>{{ words() }}</strong>
    @for (session of givenThen(); track session.id) {
      <span>“{{ session.title }}” was given.</span>
      <a mat-stroked-button [routerLink]="['/review', session.id]">Review<span class="heard-only"> the lesson of this day</span></a>
    }
    @if (planned(); as planned) {
      <span>{{ planned.number }} of {{ planned.of }}: “{{ planned.lesson.title }}”</span>
      <button mat-stroked-button type="button" [disabled]="!planned.lesson.facts" (click)="opened.emit(planned.lesson)">
        Open the room<span class="heard-only"> for the lesson of this day</span>
      </button>
      <a mat-button [routerLink]="['/lessons', planned.lesson.id]">Edit<span class="heard-only"> the lesson of this day</span></a>
      <button mat-button type="button" [disabled]="planned.number === 1" (click)="edit.emit(move(planned.lesson.id, -1))">
        Change with the one before
      </button>
      <button mat-button type="button" (click)="edit.emit(notHeld())">Not held: the rest moves on</button>
      <button mat-button type="button" (click)="edit.emit(without(planned.lesson.id))">Take out of the plan</button>
    } @else if (isSkipped()) {
      <span>No lesson was held.</span>
      <button mat-button type="button" (click)="edit.emit(notHeld())">It was held after all</button>
    } @else if (givenThen().length === 0) {
      <span class="soft">{{ isOff() ? 'A day off.' : 'No lesson is planned.' }}</span>
    }
    <button mat-button type="button" (click)="edit.emit(off())">{{ isOff() ? 'A school day after all' : 'Day off' }}</button>
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: 0.25rem 0.75rem;
      align-items: center;
      min-height: 2.6rem;
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
  readonly edit = output<PlanEdit>();
  readonly opened = output<LessonSummary>();

  protected readonly words = computed(() => dayWords(this.date()));
  protected readonly isOff = computed(() => this.plan().daysOff.includes(this.date()));
  protected readonly isSkipped = computed(() => this.plan().series?.skipped.includes(this.date()) ?? false);
  protected readonly givenThen = computed(() => this.given().filter(({ createdAtMs }) => dayOf(createdAtMs) === this.date()));
  protected readonly planned = computed(() => {
    const all = plannedLessons(this.plan());
    const index = all.findIndex(({ date }) => date === this.date());
    const lesson = this.lessons().find(({ id }) => id === all[index]?.lessonId);
    const isGiven = this.givenThen().some(({ lessonId }) => lessonId === lesson?.id);
    return lesson && !isGiven ? { lesson, number: index + 1, of: all.length } : null;
  });

  protected move(lessonId: string, by: number): PlanEdit {
    return (plan) => moveInSeries(plan, lessonId, by);
  }

  protected notHeld(): PlanEdit {
    const date = this.date();
    return (plan) => toggleSkipped(plan, date);
  }

  protected without(lessonId: string): PlanEdit {
    return (plan) => removeFromSeries(plan, lessonId);
  }

  protected off(): PlanEdit {
    const date = this.date();
    return (plan) => toggleDayOff(plan, date);
  }
}
