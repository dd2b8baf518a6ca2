import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { Icon } from '../../ui/icons/icon';
import { MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { MatTooltip } from '@angular/material/tooltip';
import { RouterLink } from '@angular/router';
import type { LessonSummary } from '@zeitpunkt/contract';
import { RUNG_IDS, RUNGS, type RungId } from '@zeitpunkt/core/ladder/registry';
import type { IsoDate } from '@zeitpunkt/core/series/plan';
import { dayOf, daysOn, mondayOf } from '@zeitpunkt/core/series/school-days';
import { MS_PER_DAY } from '@zeitpunkt/core/time/spans';
import { Course } from '../../shared/course/course';
import { MASTERY_WORDS } from '../../shared/insight/mastery-words';
import { exampleOf } from '../../shared/ladder/example-of';
import { DayMenu } from '../../shared/plan/day-menu';
import { dayAndMonth, longDay } from '../../shared/words/days';
import { SmallDial } from '../../ui/parts/small-dial';
import { type TickCounts, Ticks } from '../../ui/parts/ticks';
import { LADDER_WORDS } from './words';

/** Weeks that are shown before the one of today, and in all. */
const WEEKS_BACK = 7;
const WEEKS = 10;
const NOBODY: TickCounts = { sure: 0, nearly: 0, partly: 0, 'not-yet': 0, 'too-few': 0 };
const ORDER = ['sure', 'nearly', 'partly', 'not-yet', 'too-few'] as const;

interface Dot {
  readonly key: string;
  /** Of the way from the first day to the last, in hundredths. */
  readonly left: number;
  readonly label: string;
  readonly sessionId: string | null;
  readonly lesson: LessonSummary | null;
}

/** The ladder itself, from the ground up: each rung with its dial, every pupil as a tick, and its lessons on one axis of weeks. */
@Component({
  selector: 'zp-ladder-drawn',
  imports: [DayMenu, Icon, MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger, MatTooltip, RouterLink, SmallDial, Ticks],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './ladder-drawn.html',
  styleUrl: './ladder-drawn.scss',
})
export class LadderDrawn {
  readonly chosen = input.required<RungId>();
  /** So many rungs are drawn by now, from the top. */
  readonly most = input.required<number>();
  readonly choose = output<RungId>();
  readonly opened = output<LessonSummary>();
  protected readonly course = inject(Course);
  protected readonly words = LADDER_WORDS;
  private readonly firstDay = computed(() => daysOn(mondayOf(this.course.today()), -7 * WEEKS_BACK));
  protected readonly todayAt = computed(() => this.placeOf(this.course.today()));
  /** Every second Monday with its day; today has a word of its own, beside which no other has room. */
  protected readonly weeks = computed(() =>
    Array.from({ length: WEEKS }, (_, week) => {
      const date = daysOn(this.firstDay(), 7 * week);
      const left = this.placeOf(date);
      const hasRoom = week % 2 === 1 && Math.abs(left - this.todayAt()) > 12;
      return { date, left, text: hasRoom ? dayAndMonth(date) : '' };
    }),
  );
  protected readonly rows = computed(() => {
    const { course } = this;
    const words = new Map(course.standing()?.rungs.map((one) => [one.rung, one.words]));
    const pupils = course.current.now()?.pupilCount ?? 0;
    return [...RUNG_IDS].reverse().map((id) => {
      const known = words.get(id) ?? NOBODY;
      const asked = ORDER.reduce((sum, word) => sum + known[word], 0);
      // Whoever was asked nothing yet is a dot, too: a rung shows the whole class.
      const counts = { ...known, 'too-few': known['too-few'] + Math.max(0, pupils - asked) };
      const [given, planned] = [this.givenOn(id), this.plannedOn(id)];
      const heard = asked === 0 ? '' : ORDER.filter((word) => known[word] > 0).map((word) => `${known[word]} ${MASTERY_WORDS()[word].words}`).join(', '); // prettier-ignore
      return {
        id,
        name: RUNGS[id].name,
        at: exampleOf(id),
        counts,
        sure: known.sure,
        isReached: asked > 0,
        isNext: id === course.suggestion().rung,
        dots: [...given, ...planned],
        heard: this.words().row(RUNGS[id].name, heard || MASTERY_WORDS()['too-few'].words, given.length, planned.length),
      };
    });
  });
  protected readonly why = computed(() => this.course.suggestion().why);

  private placeOf(date: IsoDate): number {
    const days = (Date.parse(date) - Date.parse(this.firstDay())) / MS_PER_DAY;
    return (100 * days) / (7 * WEEKS);
  }

  private isOnAxis(date: IsoDate): boolean {
    const place = this.placeOf(date);
    return place >= 0 && place < 100;
  }

  private givenOn(rung: RungId): readonly Dot[] {
    return this.course.taught().flatMap(({ id, lessonId, title, createdAtMs }): Dot[] => {
      const date = dayOf(createdAtMs);
      if (this.course.rungById().get(lessonId) !== rung || !this.isOnAxis(date)) return [];
      return [{ key: id, left: this.placeOf(date), label: this.words().givenOn(title, longDay(date)), sessionId: id, lesson: null }];
    });
  }

  private plannedOn(rung: RungId): readonly Dot[] {
    return this.course.coming().flatMap(({ lesson, date }): Dot[] => {
      if (lesson.facts?.rung !== rung || !this.isOnAxis(date)) return [];
      return [{ key: lesson.id, left: this.placeOf(date), label: this.words().plannedOn(lesson.title, longDay(date)), sessionId: null, lesson }]; // prettier-ignore
    });
  }
}
