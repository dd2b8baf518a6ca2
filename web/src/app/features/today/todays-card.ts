import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatDialog } from '@angular/material/dialog';
import { Icon } from '../../ui/icons/icon';
import { MatMenu, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { RouterLink } from '@angular/router';
import { cardTime } from '@zeitpunkt/core/lesson/card-pattern';
import { daysOn } from '@zeitpunkt/core/series/school-days';
import { cardOn, cardsDue } from '@zeitpunkt/core/series/series';
import { Course } from '../../shared/course/course';
import { clockTime, longDay, shortWeekday } from '../../shared/words/days';
import { SmallDial } from '../../ui/parts/small-dial';
import { TODAY_WORDS } from './words';

/** So far back the cards before are looked for, in days. */
const DAYS_BACK = 14;

/** Today's card with the two before it, so that the pattern can be guessed; the press that shows it, and what was missed. */
@Component({
  selector: 'zp-todays-card',
  imports: [MatButton, Icon, MatIconButton, MatMenu, MatMenuItem, MatMenuTrigger, RouterLink, SmallDial],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>
      {{ words().card.heading }}
      @if (cards(); as cards) {
        <span>{{ words().card.number(number()) }}</span>
      }
    </h2>
    @if (cards(); as cards) {
      @if (shown().length) {
        <ol>
          @for (one of shown(); track one.card; let last = $last) {
            <li>
              <zp-dial [at]="one.atSec" [size]="72" />
              <strong>{{ one.day }} {{ one.time }}</strong>
            </li>
            @if (!last) {
              <li class="step" aria-hidden="true">{{ one.step }}</li>
            }
          }
        </ol>
      }
      <div class="presses">
        @if (due(); as due) {
          <a mat-stroked-button [routerLink]="['/cards', course.current.id()]"
            ><mat-icon svgIcon="style" />{{ words().card.showAll(due.card - due.since + 1) }}</a
          >
          @if (due.card > due.since) {
            <span class="missed"><mat-icon svgIcon="history" />{{ words().card.missed(due.card - due.since) }}</span>
          }
        } @else {
          <span class="missed">{{ nothingDue() }}</span>
        }
        <button mat-icon-button type="button" [matMenuTriggerFor]="more" [attr.aria-label]="words().card.more">
          <mat-icon svgIcon="more-vert" />
        </button>
        <mat-menu #more="matMenu">
          <button mat-menu-item type="button" (click)="end()"><mat-icon svgIcon="event-busy" />{{ words().card.end }}</button>
        </mat-menu>
      </div>
    } @else {
      <p>{{ words().card.none }}</p>
      <button mat-stroked-button type="button" (click)="begin()"><mat-icon svgIcon="style" />{{ words().card.begin }}</button>
    }
  `,
  styles: `
    :host {
      display: block;
      padding-top: 12px;
      border-top: 2px solid var(--ink);
    }
    h2 {
      margin-bottom: 8px;
      font-size: 18px;
      line-height: 28px;
    }
    h2 span {
      margin-left: 6px;
      color: var(--soft);
      font-weight: 400;
      font-size: 16px;
    }
    ol {
      display: flex;
      align-items: flex-start;
      justify-content: space-between;
      margin: 0 0 12px;
      padding: 0;
      list-style: none;
    }
    li {
      display: grid;
      gap: 4px;
      justify-items: center;
      font-size: 14px;
      line-height: 20px;
    }
    .step {
      align-self: center;
      max-width: 4rem;
      padding-bottom: 24px;
      color: var(--soft);
      text-align: center;
    }
    .presses {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      align-items: center;
    }
    .missed {
      display: inline-flex;
      gap: 6px;
      align-items: center;
      font-weight: 700;
      font-size: 14px;
    }
    .missed mat-icon {
      width: 20px;
      height: 20px;
    }
    p {
      margin-bottom: 12px;
      color: var(--soft);
    }
  `,
})
export class TodaysCard {
  protected readonly course = inject(Course);
  private readonly dialog = inject(MatDialog);
  protected readonly words = TODAY_WORDS;
  private readonly plan = computed(() => this.course.plans.plan());
  protected readonly cards = computed(() => this.plan().cards);
  protected readonly due = computed(() => cardsDue(this.plan(), this.course.today()));
  protected readonly number = computed(() => this.due()?.card ?? this.cards()?.shown ?? 0);
  protected readonly nothingDue = computed(() => {
    const [cards, { card }] = [this.cards(), this.words()];
    if (cards && this.course.today() < cards.startsOn) return card.first(longDay(cards.startsOn));
    return card.shown(cards?.shown ?? 0);
  });
  /** The last two cards and today's, which is asked for as long as it was not shown. */
  protected readonly shown = computed(() => {
    const [plan, cards, today] = [this.plan(), this.cards(), this.course.today()];
    if (!cards) return [];
    const days = Array.from({ length: DAYS_BACK }, (_, back) => daysOn(today, -back));
    const found = days.flatMap((date) => {
      const card = cardOn(plan, date);
      return card === null || card < 1 ? [] : [{ date, card }];
    });
    return found
      .slice(0, 3)
      .reverse()
      .map(({ date, card }) => {
        const [at, next] = [cardTime(cards.pattern, card), cardTime(cards.pattern, card + 1)];
        const isAsked = date === today && card > cards.shown;
        const minutes = ((((next - at) / 60 + 720) % 1440) + 1440) % 1440;
        return {
          card,
          atSec: isAsked ? null : at,
          day: date === today ? this.words().card.today : shortWeekday(date),
          time: isAsked ? '' : clockTime(at % 43_200 < 3600 ? (at % 43_200) + 43_200 : at % 43_200),
          step: this.words()
            .card.between(minutes - 720)
            .join(' '),
        };
      });
  });

  protected end(): void {
    this.course.plans.changeAndSay((plan) => ({ ...plan, cards: null }), this.words().card.ended);
  }

  protected async begin(): Promise<void> {
    const { BeginCards } = await import('./begin-cards');
    this.dialog.open(BeginCards, { data: { plans: this.course.plans, today: this.course.today() }, maxWidth: 520 });
  }
}
