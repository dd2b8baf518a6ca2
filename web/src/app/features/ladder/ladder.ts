import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, effect, inject, linkedSignal, signal, untracked } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Router, RouterLink } from '@angular/router';
import type { DraftWish, LessonSummary } from '@zeitpunkt/contract';
import {
  plannedLessons,
  putOn,
  seriesLessons,
  suggestNext,
  type GivenLesson,
  type IsoDate,
  type RungId,
  dayWords,
  dayOf,
} from '@zeitpunkt/core';
import { download, fileName } from '../../shared/download';
import { dayChoices } from '../../shared/plan/day-choices';
import { DayMenu } from '../../shared/plan/day-menu';
import { LazyPart } from '../../ui/lazy-part';
import { SavingWord } from '../../ui/saving-word';
import { TeacherFrame } from '../frame/teacher-frame';
import { CalendarStrip, type OnTheStrip } from './calendar-strip';
import { CardsPanel } from './cards-panel';
import { ClockNotice } from './clock-notice';
import { DayPanel, type PlanEdit } from './day-panel';
import { DraftForm } from './draft-form';
import { LadderStore } from './ladder-store';
import { OwnDay } from './own-day';
import { PlanStore, type SeriesOrder } from './plan-store';
import { RungList } from './rung-list';
import { RungPanel } from './rung-panel';
import { SeriesForm } from './series-form';

/** Where a class stands on the ladder: its rungs, what was given and is planned, what comes next and why, and its lessons. */
@Component({
  selector: 'zp-ladder',
  imports: [
    CalendarStrip,
    CardsPanel,
    ClockNotice,
    DatePipe,
    DayMenu,
    DayPanel,
    DraftForm,
    LazyPart,
    MatButton,
    OwnDay,
    RouterLink,
    RungList,
    RungPanel,
    SavingWord,
    SeriesForm,
    TeacherFrame,
  ],
  providers: [LadderStore, PlanStore],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './ladder.html',
  styleUrl: './ladder.scss',
})
export class Ladder {
  protected readonly store = inject(LadderStore);
  protected readonly plans = inject(PlanStore);
  private readonly router = inject(Router);
  protected readonly today = dayOf(Date.now());
  protected readonly classId = linkedSignal(() => this.store.classes()[0]?.id);
  protected readonly day = linkedSignal(() => (this.classId(), this.today));
  /** Everything has come: what is there does not move any more under a hand that is about to press. */
  protected readonly isThere = signal(false);
  protected readonly running = computed(() => this.store.sessions().filter((session) => session.phase !== 'ended'));
  /** What the class at hand was taught, the newest first. */
  protected readonly taught = computed(() =>
    this.store.sessions().filter((session) => session.phase === 'ended' && session.classId === this.classId() && !session.simulated),
  );
  private readonly rungById = computed(() => new Map(this.store.lessons().map(({ id, facts }) => [id, facts?.rung ?? null] as const)));
  protected readonly given = computed((): readonly GivenLesson[] => {
    const [newest] = this.taught();
    return this.taught()
      .map((session) => ({
        rung: this.rungById().get(session.lessonId) ?? null,
        date: dayOf(session.createdAtMs),
        rightShare: session === newest ? (this.store.rightShares()[session.classId] ?? null) : null,
      }))
      .reverse();
  });
  protected readonly mastery = computed(() => this.store.mastery()[this.classId() ?? '']?.rungs ?? []);
  private readonly givenIds = computed(() => new Set(this.taught().map(({ lessonId }) => lessonId)));
  private readonly planned = computed(() => plannedLessons(this.plans.plan()));
  protected readonly plannedOn = computed(
    () => new Map(this.planned().flatMap(({ lessonId, date }) => (this.givenIds().has(lessonId) ? [] : [[lessonId, date] as const]))),
  );
  protected readonly plannedByRung = computed(() => {
    const counts = new Map<RungId, number>();
    for (const lessonId of this.plannedOn().keys()) {
      const rung = this.rungById().get(lessonId);
      if (rung) counts.set(rung, (counts.get(rung) ?? 0) + 1);
    }
    return counts;
  });
  protected readonly onTheStrip = computed((): readonly OnTheStrip[] => {
    const given = this.taught().map(({ title, createdAtMs }) => ({ lessonId: null, title, date: dayOf(createdAtMs), given: true }));
    const planned = this.store.lessons().flatMap(({ id, title }) => {
      const date = this.plannedOn().get(id);
      return date === undefined ? [] : [{ lessonId: id, title, date, given: false }];
    });
    return [...given, ...planned];
  });
  protected readonly suggestion = computed(() => {
    const [lessonId, date] = [...this.plannedOn()].find(([, on]) => on >= this.today) ?? [];
    const lesson = this.store.lessons().find(({ id }) => id === lessonId);
    const rung = lesson?.facts?.rung ?? null;
    return suggestNext(this.given(), lesson && date ? { lessonId: lesson.id, rung, date, title: lesson.title } : null, this.today);
  });
  /** The rung that was chosen for the class at hand; null while the suggested one is looked at. */
  protected readonly chosenRung = linkedSignal<string | undefined, RungId | null>({ source: this.classId, computation: () => null });
  protected readonly rung = computed(() => this.chosenRung() ?? this.suggestion().rung);
  /** The rung of the lesson before a new series: the last one planned, or the last one given. */
  protected readonly rungBefore = computed(() => {
    const last = seriesLessons(this.plans.plan()).at(-1);
    return (last && this.rungById().get(last.lessonId)) ?? this.given().at(-1)?.rung ?? null;
  });
  /** Those of the rung at hand first, what was just added before them. */
  protected readonly ready = computed(() => {
    const [all, rung, added] = [this.store.ready(), this.rung(), this.store.added()];
    const rank = ({ id, facts }: LessonSummary) => (id === added ? 0 : facts?.rung === rung ? 1 : 2);
    return [...all].sort((a, b) => rank(a) - rank(b));
  });

  constructor() {
    void this.store.load();
    effect(() => {
      const classId = this.classId();
      if (this.store.loading()) return;
      untracked(() => void this.lookAt(classId));
    });
  }

  private async lookAt(classId: string | undefined): Promise<void> {
    if (classId !== undefined) await Promise.all([this.plans.load(classId), this.store.lookAtLast(classId)]);
    this.isThere.set(true);
    if (classId !== undefined) await this.store.lookAtMastery(classId);
  }

  protected minutes(lesson: LessonSummary): number {
    return Math.round((lesson.facts?.plannedSec ?? 0) / 60);
  }

  /** A day to come that was chosen in the calendar: what is drafted is put on it. */
  protected readonly dayToDraftFor = computed(() => (this.plans.at() && this.day() > this.today ? this.day() : null));
  protected readonly putDays = computed(() => dayChoices(this.plans.plan(), this.today, (id) => this.store.lessons().find((one) => one.id === id)?.title ?? null)); // prettier-ignore

  protected put(lessonId: string, date: IsoDate): void {
    this.edit((plan) => putOn(plan, lessonId, date));
  }

  protected plannedWords(lesson: LessonSummary): string | null {
    const date = this.plannedOn().get(lesson.id);
    return date === undefined ? null : `planned for ${dayWords(date)}`;
  }

  /** Fetched when it is first opened. */
  protected readonly filesOpen = signal(false);
  protected readonly planFiles = () => import('./plan-files').then((file) => file.PlanFiles);

  protected edit(change: PlanEdit): void {
    this.plans.change(change);
  }

  /** A lesson that is drafted stands ready; an empty one is gone to, to be built. */
  protected async draft(wish: Omit<DraftWish, 'id'>): Promise<void> {
    const day = this.dayToDraftFor();
    const id = await this.store.draft(wish);
    if (id && day) this.put(id, day);
    if (id && wish.empty) await this.router.navigate(['/lessons', id]);
  }

  protected endSeries(): void {
    this.plans.change((plan) => ({ ...plan, series: null }));
  }

  protected async order(order: SeriesOrder): Promise<void> {
    await this.plans.draftSeries(order);
    await this.store.refresh();
  }

  protected async saveFile(lesson: LessonSummary): Promise<void> {
    await this.store.file(lesson.id, (file) => {
      const text = `${JSON.stringify(file, null, 2)}\n`;
      download(new Blob([text], { type: 'application/json' }), fileName(file.title, 'lesson', 'lesson.json'));
    });
  }

  protected async takeFile(input: HTMLInputElement): Promise<void> {
    const file = input.files?.[0];
    input.value = ''; // the same file can be chosen again when it has been put right
    if (file) await this.store.takeFile(file);
  }

  /** A new class is named and filled in its own place. */
  protected async newClass(): Promise<void> {
    const id = await this.store.addClass();
    if (id) await this.router.navigate(['/classes', id]);
  }

  /** Opens a room that simulated pupils fill at a press. */
  protected async rehearse(lesson: LessonSummary): Promise<void> {
    const id = await this.store.rehearse(lesson.id);
    if (id) await this.router.navigate(['/console', id]);
  }

  protected async start(lesson: LessonSummary): Promise<void> {
    const classId = this.classId();
    const id = classId && (await this.store.start(lesson.id, classId));
    if (id) await this.router.navigate(['/console', id]);
  }
}
