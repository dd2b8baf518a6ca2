import { computed, effect, inject, Injectable, signal, untracked } from '@angular/core';
import { Router } from '@angular/router';
import type { LessonSummary } from '@zeitpunkt/contract';
import type { RungId } from '@zeitpunkt/core/ladder/registry';
import type { IsoDate } from '@zeitpunkt/core/series/plan';
import { dayOf, weekdayOf } from '@zeitpunkt/core/series/school-days';
import { plannedLessons, putOn, seriesLessons, takeOutOfPlan } from '@zeitpunkt/core/series/series';
import { suggestNext, type GivenLesson } from '@zeitpunkt/core/series/suggest';
import { CurrentClass } from '../current-class';
import { LessonShelf } from '../lessons/lesson-shelf';
import { dayChoices } from '../plan/day-choices';
import { PlanStore } from '../plan/plan-store';
import { PLAN_WORDS } from '../plan/words';
import { todaysDate } from '../todays-date';
import { longDay } from '../words/days';
import { StandingStore } from './standing-store';

/** How long a lesson is that is drafted at one press, in minutes. */
export const SHORT_LESSON_MIN = 15;

/** A lesson on a day to come, with the time it begins where one is kept. */
export interface ComingLesson {
  readonly lesson: LessonSummary;
  readonly date: IsoDate;
  /** Seconds since midnight. */
  readonly atSec: number | null;
}

/** What was given to the class at hand, what is planned, and what comes next and why: for all places that ask. */
@Injectable()
export class Course {
  private readonly router = inject(Router);
  readonly current = inject(CurrentClass);
  readonly shelf = inject(LessonShelf);
  readonly plans = inject(PlanStore);
  readonly standings = inject(StandingStore);
  readonly today = todaysDate();
  /** Everything has come but where the class stands: what is there does not move any more under a hand that is about to press. */
  readonly isThere = signal(false);

  readonly standing = this.standings.standing;
  readonly running = computed(() => this.shelf.running().filter(({ classId, simulated }) => simulated || classId === this.current.id()));
  /** What the class at hand was taught, the newest first. */
  readonly taught = computed(() =>
    this.shelf.sessions().filter((session) => session.phase === 'ended' && session.classId === this.current.id() && !session.simulated),
  );
  readonly rungById = computed(() => new Map(this.shelf.lessons().map(({ id, facts }) => [id, facts?.rung ?? null] as const)));
  readonly given = computed((): readonly GivenLesson[] => {
    const counts = new Map(this.standing()?.lessons.map(({ id, questions }) => [id, questions]));
    return this.taught()
      .map(({ id, lessonId, createdAtMs }) => ({
        rung: this.rungById().get(lessonId) ?? null,
        date: dayOf(createdAtMs),
        rightShare: shareOf(counts.get(id) ?? []),
      }))
      .reverse();
  });
  private readonly givenIds = computed(() => new Set(this.taught().map(({ lessonId }) => lessonId)));
  readonly plannedOn = computed(
    () =>
      new Map(
        plannedLessons(this.plans.plan()).flatMap(({ lessonId, date }) =>
          this.givenIds().has(lessonId) ? [] : [[lessonId, date] as const],
        ),
      ),
  );
  /** Lessons on days to come, today’s included, in the order of their days. */
  readonly coming = computed((): readonly ComingLesson[] =>
    [...this.plannedOn()]
      .filter(([, date]) => date >= this.today())
      .flatMap(([id, date]) => {
        const lesson = this.shelf.byId().get(id);
        return lesson && lesson.archivedAtMs === null ? [{ lesson, date, atSec: this.beginsAt(date) }] : [];
      })
      .sort((one, other) => (one.date < other.date ? -1 : one.date > other.date ? 1 : 0)),
  );
  readonly next = computed((): ComingLesson | null => this.coming()[0] ?? null);
  readonly suggestion = computed(() => {
    const next = this.next();
    const planned = next && { lessonId: next.lesson.id, rung: next.lesson.facts?.rung ?? null, date: next.date, title: next.lesson.title };
    return suggestNext(this.given(), planned, this.today());
  });
  /** What to teach after that what is planned is left aside: from how the last lesson went. */
  readonly afterLast = computed(() => suggestNext(this.given(), null, this.today()));
  /** The next school days, with what stands on them. */
  readonly days = computed(() => dayChoices(this.plans.plan(), this.today(), (id) => this.titleOf(id)));
  /** The rung of the lesson before a new series: the last one planned, or the last one given. */
  readonly rungBefore = computed((): RungId | null => {
    const last = seriesLessons(this.plans.plan()).at(-1);
    return (last && this.rungById().get(last.lessonId)) ?? this.given().at(-1)?.rung ?? null;
  });

  /** Asked again, the classes do not make everything else be fetched again. */
  private readonly knowsClasses = computed(() => this.current.classes() !== null);

  constructor() {
    void this.shelf.load();
    effect(() => {
      const classId = this.current.id();
      if (this.shelf.loading() || !this.knowsClasses()) return;
      untracked(() => void this.lookAt(classId));
    });
  }

  /** Why what a place begins with is missing. */
  private readonly missing = computed(() => this.current.problem() ?? this.shelf.problem() ?? this.plans.problem());
  /** Why anything is missing. */
  readonly problem = computed(() => this.missing() ?? this.standings.problem());

  /** Fetches everything anew. */
  reload(): void {
    void this.current.load();
    void this.shelf.load();
  }

  /** Opens a room for a lesson with the class at hand, and goes there; what refuses it is in `problem`. */
  async teach(lessonId: string): Promise<void> {
    const classId = this.current.id();
    const id = classId && (await this.shelf.start(lessonId, classId));
    if (id) await this.router.navigate(['/console', id]);
  }

  /** Puts a lesson on a day, beside what stands there. */
  put(lessonId: string, date: IsoDate): void {
    const said = PLAN_WORDS().stands(this.titleOf(lessonId) ?? '', longDay(date));
    this.plans.changeAndSay((plan) => putOn(plan, lessonId, date), said);
  }

  /** Takes a lesson off its day. */
  takeOff(lessonId: string): void {
    this.plans.changeAndSay((plan) => takeOutOfPlan(plan, lessonId), PLAN_WORDS().takenOff(this.titleOf(lessonId) ?? ''));
  }

  titleOf(lessonId: string): string | null {
    return this.shelf.byId().get(lessonId)?.title ?? null;
  }

  /** When lessons begin on a day. */
  beginsAt(date: IsoDate): number | null {
    return this.plans.plan().times.find(({ weekday }) => weekday === weekdayOf(date))?.atSec ?? null;
  }

  private async lookAt(classId: string | null): Promise<void> {
    if (classId !== null) await this.plans.load(classId);
    // What did not come is not shown as if there were nothing; what went wrong beside it, a spoilt file for one, is told and no more.
    const plan = this.plans.at();
    if (!this.shelf.hasCome() || (classId !== null && plan?.classId !== classId)) return;
    this.isThere.set(true);
    if (classId !== null) await this.standings.load(classId);
  }
}

/** Which part of all answers was right; null where nobody answered. */
export function shareOf(questions: readonly { readonly right: number; readonly answers: number }[]): number | null {
  const answers = questions.reduce((sum, one) => sum + one.answers, 0);
  return answers === 0 ? null : questions.reduce((sum, one) => sum + one.right, 0) / answers;
}

/** What a place that looks at the course of a class provides. */
export const COURSE = [LessonShelf, PlanStore, StandingStore, Course];
