import { ChangeDetectionStrategy, Component, inject, signal, viewChild } from '@angular/core';
import { dayOf } from '@zeitpunkt/core/series/school-days';
import type { ClassSummary, LessonSummary, PlanDetail } from '@zeitpunkt/contract';
import { ask, sentenceOf } from '../api';
import { dayChoices, type DayChoice } from './day-choices';
import { DayMenu } from './day-menu';
import { PlanChange } from './plan-change';
import { PLAN_WORDS } from './words';

/** Of several classes each shows its next days. */
const DAYS_OF_SEVERAL = 5;

/**
 * Puts a lesson on a school day of a class, from wherever the lesson is at hand: the menu of the next days, fetched when it is
 * opened. Whatever opens it says with `{ of }` which lesson, and calls `load`.
 */
@Component({
  selector: 'zp-put-on-day',
  imports: [DayMenu],
  providers: [PlanChange],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<zp-day-menu [days]="days()" [waiting]="waiting()" (chosen)="change.put($event.day.classId!, $event.of, $event.day.date)" />`,
})
export class PutOnDay {
  private readonly words = PLAN_WORDS;
  protected readonly change = inject(PlanChange);
  protected readonly days = signal<readonly DayChoice[]>([]);
  protected readonly waiting = signal('');
  private readonly shown = viewChild.required(DayMenu);

  menu() {
    return this.shown().menu();
  }

  async load(): Promise<void> {
    this.waiting.set('');
    try {
      const [classes, lessons] = await Promise.all([
        ask<ClassSummary[]>('GET', '/api/classes'),
        ask<LessonSummary[]>('GET', '/api/lessons'),
      ]);
      const titles = new Map(lessons.map(({ id, title }) => [id, title]));
      const days = await Promise.all(
        classes.map(async ({ id, name }) => {
          const { plan } = await ask<PlanDetail>('GET', `/api/classes/${id}/plan`);
          const all = dayChoices(plan, dayOf(Date.now()), (lesson) => titles.get(lesson) ?? null);
          const own =
            classes.length > 1 ? all.slice(0, DAYS_OF_SEVERAL).map((one) => ({ ...one, day: this.words().ofClass(name, one.day) })) : all;
          return own.map((one) => ({ ...one, classId: id }));
        }),
      );
      this.days.set(days.flat());
      this.waiting.set(this.words().noClass);
    } catch (error) {
      this.waiting.set(sentenceOf(error));
    }
  }
}
