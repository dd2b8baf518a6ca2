import { ChangeDetectionStrategy, Component, computed, effect, inject, input, untracked } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import { InsightSource } from '../../shared/insight/insight-source';
import { TeacherFrame } from '../frame/teacher-frame';
import { AnswersList } from '../../shared/insight/answers-list';
import { PlanChange } from '../../shared/plan/plan-change';
import { ClassReviewStore } from './class-review-store';

/** What a class can do and holds, over all its lessons, and what to do next. */
@Component({
  selector: 'zp-class-review',
  imports: [AnswersList, MatButton, RouterLink, RouterLinkActive, RouterOutlet, TeacherFrame],
  providers: [InsightSource, PlanChange, ClassReviewStore],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <zp-teacher-frame>
      @if (store.problem(); as problem) {
        <p class="problem" role="alert">{{ problem }} <button mat-button type="button" (click)="store.open(id())">Try again</button></p>
      }
      @if (store.insight(); as insight) {
        <h1 class="class-name">{{ insight.className }}</h1>
        <p class="facts">{{ from() }}</p>
        <nav aria-label="Looks at this class">
          @for (look of looks; track look.path) {
            <a [routerLink]="look.path" routerLinkActive="here" ariaCurrentWhenActive="page">{{ look.name }}</a>
          }
          <span class="spacer"></span>
          <a [href]="'/api/classes/' + insight.classId + '/results.csv'" download>All results (CSV)</a>
          <a [routerLink]="['/classes', insight.classId]">Class list</a>
        </nav>
        @for (why of insight.unreadable; track $index) {
          <p class="problem" role="alert">{{ why }} It stays stored as it is.</p>
        }
        <div class="columns" [class.beside]="store.shown()">
          <div class="look"><router-outlet /></div>
          @if (store.shown(); as shown) {
            <aside><zp-answers-list [title]="shown.title" [answers]="shown.answers" (closed)="store.hide()" /></aside>
          }
        </div>
      } @else if (!store.problem()) {
        <label for="looking">Looking through the answers of the class …</label>
        <progress id="looking" max="1" [value]="store.progress() ?? 0"></progress>
        <a mat-button routerLink="/ladder">Stop</a>
      }
    </zp-teacher-frame>
  `,
  styles: `
    nav {
      display: flex;
      flex-wrap: wrap;
      gap: 0.25rem 1.5rem;
      margin: 0.75rem 0 1.25rem;
      border-bottom: 1px solid var(--faint);
    }
    .spacer {
      flex: 1;
    }
    nav a {
      padding: 0.35rem 0;
      text-decoration: none;
    }
    nav .here {
      border-bottom: 3px solid var(--accent);
      font-weight: 700;
    }
    .columns.beside {
      display: grid;
      grid-template-columns: minmax(0, 1fr) 22rem;
      gap: 1.5rem;
      align-items: start;
    }
    aside {
      position: sticky;
      top: 1rem;
    }
    @media (max-width: 900px) {
      .columns.beside {
        grid-template-columns: minmax(0, 1fr);
      }
      aside {
        position: static;
        order: -1;
      }
    }
    @media print {
      nav,
      .facts {
        display: none;
      }
    }
  `,
})
export class ClassReview {
  readonly id = input.required<string>();
  protected readonly store = inject(ClassReviewStore);
  protected readonly looks = [
    { path: 'next', name: 'Next lesson' },
    { path: 'map', name: 'Who can do what' },
    { path: 'ideas', name: 'Who holds what' },
    { path: 'home', name: 'For home' },
    { path: 'files', name: 'Results as files' },
  ] as const;
  protected readonly from = computed(() => {
    const lessons = this.store.insight()?.lessons.filter(({ answers }) => answers > 0) ?? [];
    const answers = lessons.reduce((sum, one) => sum + one.answers, 0);
    if (answers === 0) return 'Nothing has been answered yet: after the first lesson this page says who can do what.';
    return `From ${answers} answers in ${lessons.length} lessons. All of it is a hint with its evidence, for you: never a grade.`;
  });

  constructor() {
    effect(() => {
      const id = this.id();
      untracked(() => void this.store.open(id));
    });
  }
}
