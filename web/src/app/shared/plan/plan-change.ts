import { inject, Injectable } from '@angular/core';
import type { ClassPlan, IsoDate } from '@zeitpunkt/core/series/plan';
import { dayOf } from '@zeitpunkt/core/series/school-days';
import { planOn, plannedLessons, putOn } from '@zeitpunkt/core/series/series';
import type { PlanDetail, PlanSaved } from '@zeitpunkt/contract';
import { Notice } from '../../ui/parts/notice';
import { ask, sentenceOf } from '../api';
import { longDay } from '../words/days';
import { PLAN_WORDS } from './words';

/** Changes the plan of a class from elsewhere than the calendar: what came of it is said, and can be undone. */
@Injectable()
export class PlanChange {
  private readonly notice = inject(Notice);

  /**
   * Puts a lesson on a day: beside what stands there, or instead, so that the series moves on. Resolves with whether it went
   * well; if not, that is said.
   */
  async put(classId: string, lessonId: string, date: IsoDate, how: 'beside' | 'instead' = 'beside'): Promise<boolean> {
    try {
      const { revision, plan } = await ask<PlanDetail>('GET', `/api/classes/${classId}/plan`);
      const before = plannedLessons(plan).find((one) => one.lessonId === lessonId);
      const changed = how === 'beside' ? putOn(plan, lessonId, date) : planOn(plan, lessonId, date, dayOf(Date.now()));
      const next = await save(classId, revision, changed);
      const { moved, standsOn } = PLAN_WORDS();
      const words = before ? moved(longDay(before.date), longDay(date)) : standsOn(longDay(date));
      this.notice.say(words, () => this.undo(classId, next, plan));
      return true;
    } catch (error) {
      this.notice.fail(sentenceOf(error));
      return false;
    }
  }

  /** Only what was changed here is undone: a plan that was changed since is left as it is, and that is said. */
  private async undo(classId: string, revision: number, before: ClassPlan): Promise<void> {
    try {
      await save(classId, revision, before);
      this.notice.say(PLAN_WORDS().asItWas);
    } catch (error) {
      this.notice.fail(sentenceOf(error));
    }
  }
}

async function save(classId: string, revision: number, plan: ClassPlan): Promise<number> {
  return (await ask<PlanSaved>('POST', `/api/classes/${classId}/plan`, { revision, plan })).revision;
}
