import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatDialog } from '@angular/material/dialog';
import { Icon } from '../../ui/icons/icon';
import { MatMenu, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { RouterLink } from '@angular/router';
import { MATERIALS } from '@zeitpunkt/core/ladder/materials';
import { RUNGS } from '@zeitpunkt/core/ladder/registry';
import { daysOn } from '@zeitpunkt/core/series/school-days';
import { Course } from '../../shared/course/course';
import { everySecond } from '../../shared/every-second';
import { clockTime, dialTime, longDay, weekday } from '../../shared/words/days';
import { SmallDial } from '../../ui/parts/small-dial';
import { TODAY_WORDS } from './words';

const MOST_TIMES = 8;
const HOUR_SEC = 3600;

/** The next lesson: how long until it begins, on a dial; its times; what to have at hand; and the press that opens its room. */
@Component({
  selector: 'zp-next-lesson',
  imports: [MatButton, Icon, MatIconButton, MatMenu, MatMenuItem, MatMenuTrigger, RouterLink, SmallDial],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './next-lesson.html',
  styleUrl: './next-lesson.scss',
})
export class NextLesson {
  readonly opened = output<string>();
  readonly rehearsed = output<string>();
  protected readonly course = inject(Course);
  private readonly dialog = inject(MatDialog);
  protected readonly words = TODAY_WORDS;
  protected readonly dialTime = dialTime;
  private readonly nowMs = everySecond();
  /** Seconds since midnight, of this device. */
  protected readonly now = computed(() => {
    const date = new Date(this.nowMs());
    return date.getHours() * HOUR_SEC + date.getMinutes() * 60;
  });
  protected readonly next = this.course.next;
  protected readonly facts = computed(() => this.next()?.lesson.facts ?? null);
  protected readonly isToday = computed(() => this.next()?.date === this.course.today());
  protected readonly times = computed(() => this.facts()?.times.slice(0, MOST_TIMES) ?? []);
  protected readonly materials = computed(() => {
    const rung = this.facts()?.rung;
    return rung ? RUNGS[rung].materials.map((id) => MATERIALS[id]) : [];
  });
  /** Minutes until it begins today; below 0 once it should have begun; null where that is not known. */
  private readonly minutesLeft = computed(() => {
    const atSec = this.next()?.atSec ?? null;
    return this.isToday() && atSec !== null ? Math.round((atSec - this.now()) / 60) : null;
  });
  /** What the rim shows of the hour that is left. */
  protected readonly sector = computed(() => {
    const left = this.minutesLeft();
    const from = Math.floor(this.now() / 60) % 60;
    return left !== null && left > 0 && left < 60 ? { from, to: (from + left) % 60 } : null;
  });
  /** When it is, large, and below it the exact time. */
  protected readonly when = computed((): readonly [string, string] => {
    const [{ next }, one, left] = [this.words(), this.next(), this.minutesLeft()];
    if (!one) return ['', ''];
    const at = one.atSec === null ? '' : clockTime(one.atSec);
    if (left !== null) {
      const large =
        left > 90 ? next.inHours(Math.round(left / 60)) : left > 0 ? next.inMinutes(left) : left === 0 ? next.soon : next.since(-left);
      return [large, next.clock(clockTime(this.now()), at)];
    }
    if (this.isToday()) return [next.today, ''];
    const large = one.date === daysOn(this.course.today(), 1) ? next.tomorrow : next.onDay(weekday(one.date));
    return [large, at ? next.at(longDay(one.date), at) : longDay(one.date)];
  });
  protected readonly dialAt = computed(() => (this.isToday() ? this.now() : (this.next()?.atSec ?? this.now())));

  protected readonly round = Math.round;

  protected rungName(): string {
    return RUNGS[this.course.afterLast().rung].name;
  }

  protected async setTimes(): Promise<void> {
    const { LessonTimes } = await import('./lesson-times');
    this.dialog.open(LessonTimes, { data: this.course.plans, maxWidth: 480 });
  }
}
