import { ChangeDetectionStrategy, Component, computed, effect, inject, input, untracked } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatMenu, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { MatProgressBar } from '@angular/material/progress-bar';
import { MatTabLink, MatTabNav, MatTabNavPanel } from '@angular/material/tabs';
import { RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import { InsightSource } from '../../shared/insight/insight-source';
import { AnswersList } from '../../shared/insight/answers-list';
import { PlanChange } from '../../shared/plan/plan-change';
import { Icon } from '../../ui/icons/icon';
import { Place } from '../../ui/parts/place';
import { Failing } from '../../ui/parts/states';
import { ClassReviewStore } from './class-review-store';
import { INSIGHT_WORDS } from './words';

/** What a class can do and holds, over all its lessons, and what to do next. */
@Component({
  selector: 'zp-class-review',
  imports: [
    AnswersList,
    Failing,
    Icon,
    MatButton,
    MatMenu,
    MatMenuItem,
    MatMenuTrigger,
    MatProgressBar,
    MatTabLink,
    MatTabNav,
    MatTabNavPanel,
    Place,
    RouterLink,
    RouterLinkActive,
    RouterOutlet,
  ],
  providers: [InsightSource, PlanChange, ClassReviewStore],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <zp-place [heading]="heading()" [about]="from()" [help]="help()">
      <ng-container acts>
        @if (store.insight(); as insight) {
          <button mat-stroked-button type="button" [matMenuTriggerFor]="give"><mat-icon svgIcon="download" />{{ words().export }}</button>
          <mat-menu #give="matMenu">
            <a mat-menu-item [href]="'/api/classes/' + insight.classId + '/results.csv'" download>{{ words().exports.csv }}</a>
            <a mat-menu-item [href]="'/api/classes/' + insight.classId + '/results.xapi.json'" download>{{ words().exports.xapi }}</a>
            <a mat-menu-item routerLink="files">{{ words().exports.more }}</a>
          </mat-menu>
        }
      </ng-container>
      @if (store.problem(); as problem) {
        <zp-failing [problem]="problem" (again)="store.open(id())" />
      }
      @if (store.insight(); as insight) {
        <nav mat-tab-nav-bar mat-stretch-tabs="false" disablePagination [tabPanel]="panel" [attr.aria-label]="words().looks.label">
          @for (look of looks; track look) {
            <a mat-tab-link [routerLink]="look" routerLinkActive #here="routerLinkActive" [active]="here.isActive">{{
              words().looks[look]
            }}</a>
          }
        </nav>
        @for (why of insight.unreadable; track $index) {
          <zp-failing [problem]="words().stays(why)" [canTryAgain]="false" />
        }
        <mat-tab-nav-panel #panel class="columns" [class.beside]="store.shown()">
          <div class="look"><router-outlet /></div>
          @if (store.shown(); as shown) {
            <aside><zp-answers-list [title]="shown.title" [answers]="shown.answers" (closed)="store.hide()" /></aside>
          }
        </mat-tab-nav-panel>
      } @else if (!store.problem()) {
        <p id="looking">{{ words().looking }}</p>
        <mat-progress-bar aria-labelledby="looking" [value]="100 * (store.progress() ?? 0)" />
        <a mat-button routerLink="/ladder">{{ words().stop }}</a>
      }
    </zp-place>
  `,
  styles: `
    nav {
      margin-bottom: 16px;
    }
    mat-progress-bar {
      max-width: 320px;
    }
    .columns {
      display: block;
    }
    .columns.beside {
      display: grid;
      grid-template-columns: minmax(0, 1fr) 22rem;
      gap: 24px;
      align-items: start;
    }
    aside {
      position: sticky;
      top: 16px;
      max-height: calc(100dvh - 32px);
      overflow-y: auto;
    }
    @media (max-width: 900px) {
      .columns.beside {
        grid-template-columns: minmax(0, 1fr);
      }
      aside {
        position: static;
        order: -1;
        max-height: none;
      }
    }
    @media print {
      nav {
        display: none;
      }
    }
  `,
})
export class ClassReview {
  readonly id = input.required<string>();
  protected readonly store = inject(ClassReviewStore);
  protected readonly words = INSIGHT_WORDS;
  protected readonly looks = ['next', 'map', 'ideas', 'home'] as const;
  protected readonly heading = computed(() => {
    const insight = this.store.insight();
    return insight ? this.words().heading(insight.className) : this.words().place;
  });
  protected readonly help = computed(() => ({ place: this.words().place, sentence: this.words().help.sentence }));
  protected readonly from = computed(() => {
    const insight = this.store.insight();
    if (!insight) return null;
    const lessons = insight.lessons.filter(({ answers }) => answers > 0);
    const answers = lessons.reduce((sum, one) => sum + one.answers, 0);
    return answers === 0 ? this.words().nothing : this.words().from(answers, lessons.length);
  });

  constructor() {
    effect(() => {
      const id = this.id();
      untracked(() => void this.store.open(id));
    });
  }
}
