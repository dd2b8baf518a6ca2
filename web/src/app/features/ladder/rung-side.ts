import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { MatDatepicker, MatDatepickerInput, MatDatepickerToggle, MatDatepickerToggleIcon } from '@angular/material/datepicker';
import { MatError, MatFormField, MatLabel, MatSuffix } from '@angular/material/form-field';
import { Icon } from '../../ui/icons/icon';
import { MatInput } from '@angular/material/input';
import { MatOption, MatSelect } from '@angular/material/select';
import { Router, RouterLink } from '@angular/router';
import type { LessonSummary } from '@zeitpunkt/contract';
import { MATERIALS } from '@zeitpunkt/core/ladder/materials';
import { RUNG_IDS, RUNGS, type RungId } from '@zeitpunkt/core/ladder/registry';
import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import { misconceptionOf } from '@zeitpunkt/core/misconceptions/registry';
import type { ClassPlan, IsoDate } from '@zeitpunkt/core/series/plan';
import { weekdayOf } from '@zeitpunkt/core/series/school-days';
import { putOn } from '@zeitpunkt/core/series/series';
import { ideaPair } from '@zeitpunkt/core/misconceptions/idea-pair';
import { DateTime } from 'luxon';
import { Course } from '../../shared/course/course';
import { pairSaid } from '../../shared/insight/pair-said';
import { listed } from '../../shared/words/catalogue';
import { longDay } from '../../shared/words/days';
import { IdeaPair } from '../../ui/parts/idea-pair';
import { Notice } from '../../ui/parts/notice';
import { SmallDial } from '../../ui/parts/small-dial';
import { exampleOf } from '../../shared/ladder/example-of';
import { LENGTHS } from './wish-parts';
import { LADDER_WORDS } from './words';
import { DAYS_IN_FIELDS } from '../../ui/parts/days-in-fields';

/** So many wrong ideas are shown of a rung; those that show on a dial first. */
const MOST_WRONG = 3;

/** The chosen rung: what pupils can say, new words, what goes wrong as pairs of dials; and a draft for a day. */
@Component({
  selector: 'zp-rung-side',
  imports: [
    IdeaPair,
    MatButton,
    MatButtonToggle,
    MatButtonToggleGroup,
    MatDatepicker,
    MatDatepickerInput,
    MatDatepickerToggle,
    MatDatepickerToggleIcon,
    MatError,
    MatFormField,
    Icon,
    MatInput,
    MatLabel,
    MatOption,
    MatSelect,
    MatSuffix,
    RouterLink,
    SmallDial,
  ],
  providers: [...DAYS_IN_FIELDS],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './rung-side.html',
  styleUrl: './rung-side.scss',
})
export class RungSide {
  readonly rungId = input.required<RungId>();
  /** The day that is drafted for; null for none. */
  readonly day = input.required<IsoDate | null>();
  /** The form for a draft is there by now. */
  readonly canDraft = input.required<boolean>();
  readonly dayChange = output<IsoDate | null>();
  readonly opened = output<LessonSummary>();
  protected readonly course = inject(Course);
  private readonly notice = inject(Notice);
  private readonly router = inject(Router);
  protected readonly words = LADDER_WORDS;
  protected readonly lengths = LENGTHS;
  protected readonly rung = computed(() => RUNGS[this.rungId()]);
  protected readonly at = computed(() => exampleOf(this.rungId()));
  protected readonly about = computed(() => this.words().side.about(RUNG_IDS.indexOf(this.rungId()), RUNG_IDS.length));
  protected readonly after = computed(() => {
    const before = this.rung().after as RungId | null;
    return before === null ? this.words().side.first : this.words().side.after(RUNGS[before].name.toLowerCase());
  });
  protected readonly criteria = computed(() => this.rung().criteria.en);
  protected readonly newWords = computed(() => this.rung().words.en);
  protected readonly materials = computed(() => listed(this.rung().materials.map((id) => lowered(MATERIALS[id].thing.en))));
  protected readonly wrong = computed(() =>
    this.rung()
      .misconceptions.map((id) => {
        const pair = ideaPair(id, this.rungId(), DEFAULT_SETTINGS);
        const { name, whatThePupilDoes } = misconceptionOf(id);
        return { id, name, pair, said: pair ? pairSaid(pair, 'habit') : whatThePupilDoes };
      })
      .sort((one, other) => Number(other.pair !== null) - Number(one.pair !== null))
      .slice(0, MOST_WRONG),
  );

  protected readonly minutes = signal(15);
  protected readonly delivery = signal<'live' | 'recorded'>('live');
  protected readonly date = computed(() => {
    const day = this.day();
    return day === null ? null : DateTime.fromISO(day);
  });
  protected readonly earliest = computed(() => DateTime.fromISO(this.course.today()));
  /** What was drafted last, as long as it is there. */
  private readonly doneId = signal<string | null>(null);
  protected readonly done = computed(() => {
    const lesson = this.course.shelf.byId().get(this.doneId() ?? '');
    return lesson && lesson.archivedAtMs === null ? lesson : null;
  });
  protected readonly doneOn = computed(() => {
    const date = this.course.plannedOn().get(this.doneId() ?? '');
    return date === undefined ? null : longDay(date);
  });

  /** Only days with school can be chosen. */
  protected readonly isSchoolDay = (date: DateTime | null): boolean => {
    const { schoolDays, daysOff } = this.course.plans.plan();
    const iso = date?.toISODate();
    return !!iso && schoolDays.includes(weekdayOf(iso)) && !daysOff.includes(iso);
  };

  protected chooseDay(date: DateTime | null): void {
    if (date === null) this.dayChange.emit(null);
    else if (date.isValid && this.isSchoolDay(date)) this.dayChange.emit(date.toISODate());
  }

  /** A lesson that is drafted stands ready, on its day; an empty one is gone to, to be built. */
  protected async draft(empty: boolean): Promise<void> {
    const [day, classId] = [this.day(), this.course.current.id()];
    const wish = { rung: this.rungId(), minutes: this.minutes(), delivery: this.delivery() };
    const id = await this.course.shelf.draft({ ...wish, ...(classId !== null && { classId }), ...(empty && { empty: true as const }) });
    if (id === null) return;
    const putThere = day !== null && this.course.plans.at() !== null;
    const put = (plan: ClassPlan) => (putThere ? putOn(plan, id, day) : plan);
    if (empty) {
      this.course.plans.change(put);
      return void (await this.router.navigate(['/lessons', id]));
    }
    this.doneId.set(id);
    const lesson = this.course.shelf.byId().get(id)!;
    const said = this.words().draft.done(lesson.title, putThere ? longDay(day) : null);
    this.course.plans.changeAndSay(put, said, async () => {
      if (await this.course.shelf.archive(lesson, true)) this.notice.say(this.words().draft.takenAway(lesson.title));
    });
  }
}

/** "A paper dial" within a sentence. */
const lowered = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);
