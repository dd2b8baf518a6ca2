import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatDialog } from '@angular/material/dialog';
import { Icon } from '../../ui/icons/icon';
import { MatMenu, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { Router, RouterLink } from '@angular/router';
import { RUNG_IDS, RUNGS, type RungId } from '@zeitpunkt/core/ladder/registry';
import type { IsoDate } from '@zeitpunkt/core/series/plan';
import { dayOf } from '@zeitpunkt/core/series/school-days';
import { Course, COURSE } from '../../shared/course/course';
import { inSlices } from '../../shared/in-slices';
import { useShortcuts } from '../../shared/shortcuts';
import { Place } from '../../ui/parts/place';
import { Failing, Loading } from '../../ui/parts/states';
import { SavingWord } from '../../ui/saving-word';
import { CalendarStrip, type OnTheStrip } from './calendar-strip';
import { DayPanel } from './day-panel';
import { LadderDrawn } from './ladder-drawn';
import { RungSide } from './rung-side';
import { LADDER_WORDS } from './words';

/** Frames in which the rungs are drawn. */
const RUNG_SLICES = 4;

/** Where a class stands on the ladder, what was given and is planned over the weeks, what comes next, and a draft for any day. */
@Component({
  selector: 'zp-ladder',
  imports: [
    CalendarStrip,
    DayPanel,
    Failing,
    LadderDrawn,
    Loading,
    MatButton,
    Icon,
    MatIconButton,
    MatMenu,
    MatMenuItem,
    MatMenuTrigger,
    Place,
    RouterLink,
    RungSide,
    SavingWord,
  ],
  providers: COURSE,
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './ladder.html',
  styleUrl: './ladder.scss',
})
export class Ladder {
  /** The rung that is looked at, the day that is drafted for, and whether the calendar is open, as the address has them. */
  readonly rung = input<string>();
  readonly day = input<string>();
  readonly view = input<string>();
  protected readonly course = inject(Course);
  protected readonly plans = this.course.plans;
  private readonly router = inject(Router);
  private readonly dialog = inject(MatDialog);
  protected readonly words = LADDER_WORDS;
  protected readonly help = computed(() => ({ place: this.words().title, ...this.words().help }));
  protected readonly rungNow = computed((): RungId => RUNG_IDS.find((id) => id === this.rung()) ?? this.course.suggestion().rung);
  protected readonly dayNow = computed((): IsoDate => this.day() ?? this.course.today());
  protected readonly hasCalendar = computed(() => this.view() === 'calendar');
  protected readonly about = computed(() => {
    const [name, words] = [this.course.current.now()?.name, this.words()];
    if (!name) return null;
    const sure = this.course.standing()?.rungs.filter(({ words: { sure, nearly, partly, ...rest } }) => 2 * (sure + nearly) >= sure + nearly + partly + rest['not-yet']); // prettier-ignore
    const reached = sure?.at(-1)?.rung;
    if (!reached) return words.atFirst(name, RUNGS['whole-hours'].name.toLowerCase());
    const next = RUNG_IDS[RUNG_IDS.indexOf(reached) + 1];
    return next ? words.between(name, RUNGS[reached].name.toLowerCase(), RUNGS[next].name.toLowerCase()) : words.atLast(name);
  });
  protected readonly onTheStrip = computed((): readonly OnTheStrip[] => {
    const { course } = this;
    const given = course.taught().map(({ title, createdAtMs }) => ({ lessonId: null, title, date: dayOf(createdAtMs), given: true }));
    const planned = [...course.plannedOn()].flatMap(([lessonId, date]) => {
      const title = course.titleOf(lessonId);
      return title === null ? [] : [{ lessonId, title, date, given: false }];
    });
    return [...given, ...planned];
  });

  /** The ladder is drawn first, its side with the next frames. */
  protected readonly drawn = inSlices(() => (this.course.isThere() ? RUNG_SLICES + 2 : 0), 1);
  protected readonly rungs = computed(() => Math.ceil((RUNG_IDS.length * this.drawn()) / RUNG_SLICES));
  protected readonly sides = computed(() => this.drawn() - RUNG_SLICES);

  constructor() {
    const go = (by: number) => void this.choose(RUNG_IDS[RUNG_IDS.indexOf(this.rungNow()) + by] ?? this.rungNow());
    useShortcuts([
      { left: [], right: ['ArrowUp'], text: '', repeats: true, act: () => go(1) },
      { left: [], right: ['ArrowDown'], text: '', repeats: true, act: () => go(-1) },
    ]);
  }

  protected choose(rung: RungId): Promise<boolean> {
    return this.address({ rung });
  }

  protected address(change: Record<string, string | null>): Promise<boolean> {
    return this.router.navigate([], { queryParams: change, queryParamsHandling: 'merge', replaceUrl: true });
  }

  protected async planSeries(): Promise<void> {
    const { SeriesForm } = await import('./series-form');
    const opened = this.dialog.open(SeriesForm, { data: { course: this.course, rung: this.rungNow() }, maxWidth: 560 });
    opened.afterClosed().subscribe(() => void this.course.shelf.refresh());
  }

  protected async calendarFiles(): Promise<void> {
    const { PlanFiles } = await import('./plan-files');
    this.dialog.open(PlanFiles, { data: this.plans, maxWidth: 640 });
  }

  protected async ownDay(): Promise<void> {
    const { OwnDay } = await import('./own-day');
    this.dialog.open(OwnDay, { data: this.plans, width: '520px' });
  }
}
