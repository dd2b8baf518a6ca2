import { inject, Injectable } from '@angular/core';
import { MatSnackBar } from '@angular/material/snack-bar';
import { dayOf, dayWords, planOn, plannedLessons, putOn, type ClassPlan, type IsoDate } from '@zeitpunkt/core';
import type { PlanDetail, PlanSaved } from '@zeitpunkt/contract';
import { ask, sentenceOf } from '../api';

/** So long a change can be undone where it was made, in milliseconds. */
const UNDO_MS = 12_000;

/** Changes the plan of a class from elsewhere than the calendar: what came of it is said, and can be undone. */
@Injectable()
export class PlanChange {
  private readonly bar = inject(MatSnackBar);

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
      const words = before ? `Moved from ${dayWords(before.date)} to ${dayWords(date)}.` : `It stands on ${dayWords(date)}.`;
      this.bar
        .open(words, 'Undo', { duration: UNDO_MS })
        .onAction()
        .subscribe(() => void this.undo(classId, next, plan));
      return true;
    } catch (error) {
      this.bar.open(sentenceOf(error), 'Close');
      return false;
    }
  }

  /** Only what was changed here is undone: a plan that was changed since is left as it is, and that is said. */
  private async undo(classId: string, revision: number, before: ClassPlan): Promise<void> {
    try {
      await save(classId, revision, before);
      this.bar.open('The plan is as it was.', undefined, { duration: UNDO_MS / 3 });
    } catch (error) {
      this.bar.open(sentenceOf(error), 'Close');
    }
  }
}

async function save(classId: string, revision: number, plan: ClassPlan): Promise<number> {
  return (await ask<PlanSaved>('POST', `/api/classes/${classId}/plan`, { revision, plan })).revision;
}
