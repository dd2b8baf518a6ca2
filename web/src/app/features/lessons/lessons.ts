import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  computed,
  type ElementRef,
  inject,
  input,
  signal,
  viewChild,
} from '@angular/core';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { MatFormField, MatLabel, MatPrefix } from '@angular/material/form-field';
import { Icon } from '../../ui/icons/icon';
import { MatInput } from '@angular/material/input';
import { MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { MatOption, MatSelect } from '@angular/material/select';
import { ActivatedRoute, Router, RouterLink } from '@angular/router';
import type { LessonSummary } from '@zeitpunkt/contract';
import { RUNGS } from '@zeitpunkt/core/ladder/registry';
import { Course, COURSE } from '../../shared/course/course';
import { downloadLesson } from '../../shared/download';
import { inSlices } from '../../shared/in-slices';
import { DayMenu } from '../../shared/plan/day-menu';
import { useShortcuts } from '../../shared/shortcuts';
import { clockTime, dayAndMonth, dialTime, shortDay } from '../../shared/words/days';
import type { IconName } from '../../ui/icons/icons';
import { FilePress } from '../../ui/parts/file-press';
import { Notice } from '../../ui/parts/notice';
import { Place } from '../../ui/parts/place';
import { SavingWord } from '../../ui/saving-word';
import { SmallDial } from '../../ui/parts/small-dial';
import { Empty, Failing, Loading } from '../../ui/parts/states';
import {
  FILTERS,
  GROUPS,
  inOrder,
  isMeant,
  lessonRows,
  ORDERS,
  type FilterId,
  type GroupId,
  type LessonRow,
  type OrderId,
} from './lesson-rows';
import { RightBars } from './right-bars';
import { LESSONS_WORDS } from './words';

/** So many lessons of a group are shown before the rest is asked for; those to come all are. */
const SHOWN: Partial<Record<GroupId, number>> = { drafts: 12, taught: 6, away: 6 };
const STRIP = 5;
/** Lines that a frame draws. */
const DRAWN_AT_ONCE = 3;

/** All lessons: those to come, drafts, and what was taught; found by name, rung or time. */
@Component({
  selector: 'zp-lessons',
  imports: [
    DayMenu,
    Empty,
    Failing,
    FilePress,
    Loading,
    MatButton,
    MatButtonToggle,
    MatButtonToggleGroup,
    MatFormField,
    Icon,
    MatIconButton,
    MatInput,
    MatLabel,
    MatMenu,
    MatMenuContent,
    MatMenuItem,
    MatMenuTrigger,
    MatOption,
    MatPrefix,
    MatSelect,
    Place,
    RightBars,
    RouterLink,
    SavingWord,
    SmallDial,
  ],
  providers: COURSE,
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './lessons.html',
  styleUrl: './lessons.scss',
})
export class Lessons {
  /** What is searched for, which lessons and in which order, as the address has them. */
  readonly q = input<string>();
  readonly show = input<string>();
  readonly order = input<string>();
  protected readonly course = inject(Course);
  private readonly router = inject(Router);
  private readonly notice = inject(Notice);
  protected readonly words = LESSONS_WORDS;
  protected readonly dialTime = dialTime;
  protected readonly groups = GROUPS;
  protected readonly orders = ORDERS;
  private readonly field = viewChild<ElementRef<HTMLInputElement>>('search');
  protected readonly help = computed(() => ({ place: this.words().title, ...this.words().help }));
  protected readonly about = computed(() => {
    const now = this.course.current.now();
    return now ? this.words().of(now.name) : null;
  });
  protected readonly wanted = computed(() => this.q() ?? '');
  protected readonly filter = computed((): FilterId => FILTERS.find((one) => one === this.show()) ?? 'all');
  protected readonly orderNow = computed((): OrderId => ORDERS.find((one) => one === this.order()) ?? 'newest');
  private readonly rows = computed(() => {
    const { course } = this;
    return lessonRows({
      lessons: course.shelf.lessons(),
      sessions: [...course.running(), ...course.taught()],
      plannedOn: course.plannedOn(),
      beginsAt: (date) => course.beginsAt(date),
      standing: course.standing(),
      today: course.today(),
    });
  });
  protected readonly meant = computed(() => this.rows().filter((row) => isMeant(row, this.wanted())));
  protected readonly filters = computed(() => {
    const icons: Record<FilterId, IconName | null> = {
      all: null,
      drafts: 'edit-note',
      ready: 'check-circle',
      own: 'hourglass-empty',
      taught: 'co-present',
    };
    const present = this.meant().filter(({ group }) => group !== 'away');
    return FILTERS.map((id) => ({
      id,
      icon: icons[id],
      word: this.words().filters[id],
      count: id === 'all' ? present.length : present.filter((row) => row.filter === id).length,
    }));
  });
  private readonly showsAll = signal<ReadonlySet<GroupId>>(new Set());
  /** By group: all of its lines, and how many of them are wanted before the rest is asked for. */
  private readonly grouped = computed(() => {
    const [filter, order, isSearched] = [this.filter(), this.orderNow(), this.wanted() !== ''];
    const rows = this.meant().filter((row) => filter === 'all' || row.filter === filter);
    return GROUPS.map((group) => {
      const all = inOrder(rows, group, order);
      const most = SHOWN[group] ?? all.length;
      const isCut = !isSearched && !this.showsAll().has(group) && all.length > most + 1;
      return { group, all, wanted: isCut ? most : all.length };
    });
  });
  protected readonly drawn = inSlices(() => this.grouped().reduce((sum, { wanted }) => sum + wanted, 1), DRAWN_AT_ONCE, 0);
  protected readonly shown = computed(() => {
    let left = this.drawn();
    return new Map(
      this.grouped().map(({ group, all, wanted }) => {
        const rows = all.slice(0, Math.min(wanted, Math.max(0, left)));
        left -= rows.length;
        return [group, { rows, all, wanted }] as const;
      }),
    );
  });
  protected readonly found = computed(() => (this.wanted() === '' ? null : this.words().found(this.meant().length)));

  constructor() {
    // Whoever comes to find something can type at once.
    if (inject(ActivatedRoute).snapshot.fragment === 'find') afterRenderEffect(() => this.field()?.nativeElement.focus());
    useShortcuts([{ left: [], right: ['/'], text: '', act: () => this.field()?.nativeElement.focus() }]);
  }

  protected countOf(group: GroupId): number {
    return this.shown().get(group)!.all.length;
  }

  protected isShown(group: GroupId): boolean {
    const here = this.countOf(group) > 0;
    if (group === 'away' || this.wanted() !== '') return here;
    return here || this.filter() === 'all';
  }

  protected noneOf(group: GroupId): string {
    const { noneComing, noDrafts, noneTaught } = this.words();
    return group === 'coming' ? noneComing : group === 'drafts' ? noDrafts : noneTaught;
  }

  protected strip(row: LessonRow): readonly number[] {
    return row.times.slice(0, STRIP);
  }

  protected aboutRow(row: LessonRow): string {
    return this.words().about(row.rung && RUNGS[row.rung].name, row.lesson?.facts?.questionCount ?? row.questions.length);
  }

  protected minutes(row: LessonRow): number {
    return Math.round((row.lesson?.facts?.plannedSec ?? 0) / 60);
  }

  /** How much of half an hour it takes, in hundredths. */
  protected part(row: LessonRow): number {
    return Math.min(100, (this.minutes(row) / 30) * 100);
  }

  protected dayOfRow(row: LessonRow): string {
    const [{ since, today, onDay }, { date, atSec, session, group }] = [this.words(), row];
    if (date === null) return '';
    if (session && group === 'coming') return since(shortDay(date));
    const time = atSec === null ? '' : clockTime(atSec);
    return date === this.course.today() && !session ? today(time) : onDay(shortDay(date), time);
  }

  protected underDay(row: LessonRow): string {
    const { session, group } = row;
    const words = this.words();
    if (session?.simulated) return words.rehearsal;
    if (session && group === 'taught') {
      const of = this.course.current.now()?.pupilCount ?? 0;
      return session.pace === 'own' ? words.ownPace : words.here(session.participantCount, Math.max(of, session.participantCount));
    }
    if (session) return session.pace === 'own' ? words.ownPace : words.joined(session.participantCount);
    if (group === 'coming') return words.live;
    const target = row.lesson?.facts?.targetMinutes;
    return target === undefined || target === this.minutes(row) ? '' : words.ofMinutes(this.minutes(row), target);
  }

  protected async search(typed: string): Promise<void> {
    await this.address({ q: typed.trim() || null });
  }

  /** What is looked at stands in the address; the search does not fill the way back letter by letter. */
  protected async address(change: Record<string, string | null>): Promise<void> {
    await this.router.navigate([], { queryParams: change, queryParamsHandling: 'merge', replaceUrl: true });
  }

  /** What is said of those of a group that are not shown; null where all are. */
  protected later(group: GroupId): string | null {
    const { all, wanted } = this.shown().get(group)!;
    if (wanted === all.length) return null;
    const oldest = group === 'taught' && this.orderNow() === 'newest' ? (all.at(-1)?.date ?? null) : null;
    return this.words().later(all.length - wanted, oldest && dayAndMonth(oldest));
  }

  protected showAll(group: GroupId): void {
    this.showsAll.update((before) => new Set([...before, group]));
  }

  /** Opens a room that simulated pupils fill at a press. */
  protected async trySimulated(lesson: LessonSummary): Promise<void> {
    const id = await this.course.shelf.rehearse(lesson.id);
    if (id) await this.router.navigate(['/console', id]);
  }

  protected async double(lesson: LessonSummary): Promise<void> {
    if (await this.course.shelf.duplicate(lesson.id)) this.notice.say(this.words().doneDouble(lesson.title));
  }

  protected async putAway(lesson: LessonSummary, away: boolean): Promise<void> {
    if (!(await this.course.shelf.archive(lesson, away))) return;
    const words = away ? this.words().doneAway(lesson.title) : this.words().doneBack(lesson.title);
    this.notice.say(words, () => this.course.shelf.archive(lesson, !away));
  }

  protected async saveFile(lesson: LessonSummary): Promise<void> {
    await this.course.shelf.file(lesson.id, downloadLesson);
  }

  protected async takeFile(file: File): Promise<void> {
    const id = await this.course.shelf.takeFile(file);
    if (id) this.notice.say(this.words().taken(this.course.titleOf(id) ?? ''));
  }
}
