import { ChangeDetectionStrategy, Component, computed, effect, input, signal, untracked } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Icon } from '../../ui/icons/icon';
import { RouterLink } from '@angular/router';
import type { OwnPaceProgress, SessionSummary } from '@zeitpunkt/contract';
import { ask, sentenceOf } from '../../shared/api';
import { weekday } from '../../shared/words/days';
import { TODAY_WORDS } from './words';

/** A lesson that runs now: live, with simulated pupils, or at own pace, then with how far everybody is. */
@Component({
  selector: 'zp-running-band',
  imports: [MatButton, Icon, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <mat-icon [svgIcon]="isOwn() ? 'hourglass-empty' : 'co-present'" />
    <div class="what">
      <p>{{ said() }}</p>
      <h2>{{ session().title }}</h2>
    </div>
    @if (isOwn()) {
      <div class="far">
        @if (problem(); as problem) {
          <p role="status">{{ problem }}</p>
        }
        @for (part of far(); track part.word) {
          <div>
            <p>
              <strong>{{ part.bars.length }}</strong> {{ part.word }}
            </p>
            <div class="bars" aria-hidden="true">
              @for (bar of part.bars; track $index) {
                <i [style.height.px]="bar" [class.done]="part.isDone"></i>
              }
            </div>
          </div>
        }
      </div>
      <a mat-stroked-button [routerLink]="['/own-pace', session().id]">
        <mat-icon svgIcon="visibility" />{{ words().running.lookOn
        }}<span class="heard-only">{{ words().running.of(session().title) }}</span>
      </a>
    } @else {
      <p class="far">{{ words().running.here(session().participantCount) }}</p>
      <a mat-flat-button class="next" [routerLink]="['/console', session().id]">{{ words().running.goOn }}</a>
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: 8px 24px;
      align-items: center;
      margin-bottom: 16px;
      padding: 8px 16px;
      border: 1px solid var(--line);
      border-radius: 3px;
      background: var(--sheet);
    }
    .what {
      flex: 0 1 270px;
    }
    .what p {
      color: var(--soft);
      font-size: 14px;
      line-height: 20px;
    }
    h2 {
      font-size: 16px;
      line-height: 24px;
    }
    .far {
      display: flex;
      flex: 1 1 20rem;
      gap: 0 16px;
    }
    .far > div {
      flex: 1;
      border-bottom: 1px solid var(--line);
    }
    .far > div + div {
      padding-left: 8px;
      border-left: 1px solid var(--line);
    }
    .far p {
      font-size: 14px;
      line-height: 20px;
    }
    .bars {
      display: flex;
      gap: 2px;
      align-items: flex-end;
      height: 22px;
    }
    i {
      flex: 0 1 6px;
      background: var(--line);
    }
    .done {
      background: var(--ink);
    }
  `,
})
export class RunningBand {
  readonly session = input.required<SessionSummary>();
  protected readonly words = TODAY_WORDS;
  private readonly progress = signal<OwnPaceProgress | null>(null);
  /** Why it is not known how far everybody is. */
  protected readonly problem = signal<string | null>(null);
  protected readonly isOwn = computed(() => this.session().pace === 'own');
  protected readonly said = computed(() => {
    const { running } = this.words();
    if (this.session().simulated) return running.rehearsal;
    if (!this.isOwn()) return running.live;
    const progress = this.progress();
    return running.own(progress && weekday(progress.lastDay));
  });
  /** Everybody as a bar, by how far they are. */
  protected readonly far = computed(() => {
    const { running } = this.words();
    const progress = this.progress();
    if (!progress) return [];
    const { places, steps } = progress;
    const onTheWay = places.filter(({ at, done }) => at !== null && !done).map(({ at }) => 4 + Math.round((16 * at!) / steps));
    return [
      { word: running.notBegun, isDone: false, bars: places.filter(({ at }) => at === null).map(() => 3) },
      { word: running.onTheWay, isDone: false, bars: onTheWay.sort((one, other) => one - other) },
      { word: running.done, isDone: true, bars: places.filter(({ done }) => done).map(() => 20) },
    ];
  });

  constructor() {
    effect(() => {
      const { id, pace } = this.session();
      if (pace === 'own') untracked(() => void this.load(id));
    });
  }

  private async load(id: string): Promise<void> {
    try {
      this.progress.set(await ask<OwnPaceProgress>('GET', `/api/own-pace/${id}/progress`));
    } catch (error) {
      this.problem.set(sentenceOf(error));
    }
  }
}
