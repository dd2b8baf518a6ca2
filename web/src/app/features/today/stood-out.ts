import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Icon } from '../../ui/icons/icon';
import { RouterLink } from '@angular/router';
import { misconceptionOf } from '@zeitpunkt/core/misconceptions/registry';
import { dayOf } from '@zeitpunkt/core/series/school-days';
import { Course } from '../../shared/course/course';
import { pairSaid } from '../../shared/insight/pair-said';
import { weekday } from '../../shared/words/days';
import { IdeaPair } from '../../ui/parts/idea-pair';
import { TODAY_WORDS } from './words';

const MOST_NAMES = 5;

/** What the last lesson showed: each idea as a pair of dials, in a few words, with the names of those whose answers it explains. */
@Component({
  selector: 'zp-stood-out',
  imports: [IdeaPair, MatButton, Icon, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (stoodOut(); as found) {
      <header>
        <h2>{{ words().stoodOut.heading(day(found.createdAtMs)) }}</h2>
        <p>{{ words().stoodOut.about(found.title, found.answered) }}</p>
        <a mat-button [routerLink]="['/review', found.sessionId]"><mat-icon svgIcon="fact-check" />{{ words().stoodOut.review }}</a>
      </header>
      <ul>
        @for (idea of ideas(); track idea.id) {
          <li>
            @if (idea.pair; as pair) {
              <zp-pair [asked]="pair.asked" [answered]="pair.answered" />
            }
            <div class="words">
              <h3>{{ idea.name }}</h3>
              <p>{{ idea.said }}</p>
            </div>
            <div class="names">
              @for (one of idea.pupils; track one.id) {
                <a [routerLink]="['/classes', course.current.id(), 'review', 'pupils', one.id]">{{ one.name }}</a>
              }
              @if (idea.more) {
                <span>{{ words().stoodOut.more(idea.more) }}</span>
              }
            </div>
          </li>
        } @empty {
          <li class="nothing">{{ words().stoodOut.nothing }}</li>
        }
      </ul>
    }
  `,
  styles: `
    header {
      display: flex;
      flex-wrap: wrap;
      gap: 0 8px;
      align-items: center;
      padding-top: 8px;
      border-top: 2px solid var(--ink);
    }
    h2 {
      font-size: 18px;
      line-height: 36px;
    }
    header p {
      flex: 1 1 12rem;
      color: var(--soft);
    }
    ul {
      margin: 8px 0 0;
      padding: 0;
      list-style: none;
    }
    li {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 20px;
      align-items: center;
      min-height: 64px;
      padding: 4px 0;
    }
    li + li {
      border-top: 1px solid var(--faint);
    }
    .words {
      flex: 1 1 12rem;
    }
    h3 {
      font-size: 16px;
      line-height: 24px;
    }
    .words p {
      color: var(--soft);
      font-size: 14px;
      line-height: 20px;
    }
    .nothing {
      color: var(--soft);
    }
    .names {
      display: flex;
      flex-wrap: wrap;
      gap: 4px;
      align-items: center;
      justify-content: flex-end;
      font-size: 14px;
    }
    .names a {
      padding: 2px 6px;
      border: 1px solid var(--line);
      border-radius: 3px;
      background: var(--sheet);
      text-decoration: none;
    }
    .names a:hover {
      border-color: var(--ink);
    }
  `,
})
export class StoodOut {
  protected readonly course = inject(Course);
  protected readonly words = TODAY_WORDS;
  protected readonly stoodOut = computed(() => this.course.standing()?.stoodOut ?? null);
  protected readonly ideas = computed(() => {
    const names = new Map(this.course.standing()?.names.map(({ id, name }) => [id, name]));
    return (this.stoodOut()?.ideas ?? []).map(({ id, pupilIds, pair }) => ({
      id,
      name: misconceptionOf(id).name,
      said: pair ? pairSaid(pair, 'once') : misconceptionOf(id).whatThePupilDoes,
      pair,
      pupils: pupilIds.slice(0, MOST_NAMES).map((pupilId) => ({ id: pupilId, name: names.get(pupilId) ?? '' })),
      more: Math.max(0, pupilIds.length - MOST_NAMES),
    }));
  });

  protected day(ms: number): string {
    return weekday(dayOf(ms));
  }
}
