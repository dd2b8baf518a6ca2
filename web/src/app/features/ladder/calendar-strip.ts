import { CdkDrag, type CdkDragDrop, CdkDropList, CdkDropListGroup } from '@angular/cdk/drag-drop';
import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  input,
  model,
  output,
  signal,
} from '@angular/core';
import { MatIconButton } from '@angular/material/button';
import { Icon } from '../../ui/icons/icon';
import type { ClassPlan, IsoDate } from '@zeitpunkt/core/series/plan';
import { daysOn, mondayOf, weekdayOf } from '@zeitpunkt/core/series/school-days';
import { cardOn } from '@zeitpunkt/core/series/series';
import { longDay, shortWeekday } from '../../shared/words/days';
import { LADDER_WORDS } from './words';

/** A lesson on the strip: given already, or planned. */
export interface OnTheStrip {
  /** Of the lesson; null for one that was given. */
  readonly lessonId: string | null;
  readonly date: IsoDate;
  readonly title: string;
  readonly given: boolean;
}

const WEEKS = 3;

/** Three weeks of a class: what was given, what is planned, the daily cards, days off. One day is chosen. */
@Component({
  selector: 'zp-calendar-strip',
  imports: [CdkDrag, CdkDropList, CdkDropListGroup, Icon, MatIconButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button mat-icon-button type="button" [attr.aria-label]="words().earlier" (click)="turn(-1)">
      <mat-icon svgIcon="chevron-left" />
    </button>
    <div class="days" role="group" [attr.aria-label]="words().days" cdkDropListGroup>
      @for (day of days(); track day.date) {
        <button
          type="button"
          class="day"
          cdkDropList
          [cdkDropListData]="day.date"
          [cdkDropListDisabled]="day.isOff"
          cdkDropListSortingDisabled
          (cdkDropListDropped)="drop($event)"
          [class.today]="day.isToday"
          [class.off]="day.isOff"
          [class.week]="day.startsWeek"
          [attr.aria-pressed]="day.date === chosen()"
          [attr.aria-label]="day.label"
          (click)="chosen.set(day.date)"
        >
          <span class="date">{{ day.short }}</span>
          @for (lesson of day.lessons; track $index) {
            <span class="lesson" [class.given]="lesson.given" cdkDrag [cdkDragData]="lesson" [cdkDragDisabled]="lesson.given"
              >{{ lesson.given ? '✓ ' : '' }}{{ lesson.title }}</span
            >
          }
          @if (day.isOff) {
            <span class="small">{{ words().off }}</span>
          } @else if (day.card) {
            <span class="small">{{ words().card(day.card) }}</span>
          }
        </button>
      }
    </div>
    <button mat-icon-button type="button" [attr.aria-label]="words().later" (click)="turn(1)"><mat-icon svgIcon="chevron-right" /></button>
  `,
  styles: `
    :host {
      display: flex;
      align-items: stretch;
    }
    :host > button {
      align-self: center;
      min-width: 40px;
    }
    .days {
      position: relative;
      display: grid;
      flex: 1;
      grid-auto-columns: minmax(4.2rem, 1fr);
      grid-auto-flow: column;
      overflow-x: auto;
    }
    .day {
      display: flex;
      flex-direction: column;
      gap: 2px;
      align-items: stretch;
      min-height: 5.6rem;
      padding: 3px 4px;
      border: 1px solid var(--faint);
      border-left-width: 0;
      background: var(--sheet);
      color: var(--ink);
      font: inherit;
      font-size: 0.78rem;
      line-height: 1.2;
      text-align: left;
      cursor: pointer;
    }
    .week {
      border-left: 3px solid var(--line);
    }
    .day[aria-pressed='true'] {
      outline: 3px solid var(--ink);
      outline-offset: -3px;
    }
    .today .date {
      padding: 0 4px;
      background: var(--accent);
      color: var(--accent-ink);
      font-weight: 700;
    }
    .off {
      background: var(--paper);
      color: var(--soft);
    }
    .lesson {
      display: -webkit-box;
      overflow: hidden;
      border-left: 4px solid var(--minute);
      padding-left: 3px;
      -webkit-box-orient: vertical;
      -webkit-line-clamp: 3;
    }
    .lesson:not(.given) {
      cursor: grab;
    }
    .cdk-drop-list-receiving,
    .cdk-drop-list-dragging {
      outline: 2px dashed var(--minute);
      outline-offset: -3px;
    }
    .given {
      border-left-color: var(--right);
    }
    .small {
      margin-top: auto;
      color: var(--soft);
    }
  `,
})
export class CalendarStrip {
  readonly plan = input.required<ClassPlan>();
  readonly lessons = input.required<readonly OnTheStrip[]>();
  readonly today = input.required<IsoDate>();
  readonly chosen = model.required<IsoDate>();
  /** A planned lesson was drawn to another day. */
  readonly moved = output<{ readonly lessonId: string; readonly date: IsoDate }>();
  private readonly weeksOn = signal(0);
  private readonly all = LADDER_WORDS;
  protected readonly words = computed(() => this.all().strip);

  protected readonly days = computed(() => {
    const [plan, today, lessons, words] = [this.plan(), this.today(), this.lessons(), this.words()];
    const first = daysOn(mondayOf(today), 7 * (this.weeksOn() - 1));
    return Array.from({ length: 7 * WEEKS }, (_, index) => daysOn(first, index))
      .filter((date) => plan.schoolDays.includes(weekdayOf(date)) || lessons.some((one) => one.date === date) || date === today)
      .map((date, index, shown) => {
        const own = lessons.filter((one) => one.date === date);
        const isOff = plan.daysOff.includes(date);
        const card = cardOn(plan, date);
        const said = own.map(({ title, given }) => `${title}, ${given ? words.given : words.planned}`);
        return {
          date,
          lessons: own,
          isOff,
          card,
          isToday: date === today,
          startsWeek: index === 0 || mondayOf(shown[index - 1]!) !== mondayOf(date),
          short: `${shortWeekday(date)} ${Number(date.slice(8))}`,
          label: [
            longDay(date),
            ...(date === today ? [words.today] : []),
            ...(isOff ? [words.dayOff] : []),
            ...said,
            ...(card ? [words.card(card)] : []),
          ].join(', '),
        };
      });
  });

  constructor() {
    const host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    // On a narrow screen the strip scrolls by itself: the chosen day is what is looked at.
    afterRenderEffect(() => {
      this.chosen();
      const [strip, day] = [host.querySelector('.days'), host.querySelector<HTMLElement>('[aria-pressed="true"]')];
      if (strip && day) strip.scrollLeft = day.offsetLeft - strip.clientWidth / 2;
    });
  }

  protected drop({ item, container, previousContainer }: CdkDragDrop<IsoDate, IsoDate, OnTheStrip>): void {
    const { lessonId } = item.data;
    if (container === previousContainer || lessonId === null) return;
    this.chosen.set(container.data);
    this.moved.emit({ lessonId, date: container.data });
  }

  protected turn(weeks: number): void {
    this.weeksOn.update((on) => on + weeks);
  }
}
