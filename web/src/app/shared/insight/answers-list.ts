import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton, MatIconButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { kindOf } from '@zeitpunkt/core/question-kinds/registry';
import { isRightVerdict } from '@zeitpunkt/core/question-kinds/verdict';
import { ResponseView } from '../../question-views/response-view';
import { TakesFocus } from '../../ui/takes-focus';
import type { AnswerInLesson } from './insight-messages';
import { Icon } from '../../ui/icons/icon';
import { anewWith } from '../anew-with';
import { VERDICT_WORDS } from '../verdict-words';
import { ANSWERS_WORDS } from './words';

const AT_ONCE = 12;

/** The answers that a figure comes from, the newest first: each leads to its lesson. */
@Component({
  selector: 'zp-answers-list',
  imports: [DatePipe, Icon, MatButton, MatIconButton, ResponseView, RouterLink, TakesFocus],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-labelledby="shown-answers">
      <h2 id="shown-answers" [zpTakesFocus]="title()">{{ title() }}</h2>
      <p class="facts">{{ sum() }}</p>
      <button mat-icon-button type="button" class="close" [attr.aria-label]="words().close + words().these" (click)="closed.emit()">
        <mat-icon svgIcon="close" />
      </button>
      <ol>
        @for (row of rows(); track row.answer.id) {
          <li>
            <zp-response class="given" [response]="row.answer.response" [view]="row.view" />
            <div>
              <p>
                <strong>{{ row.answer.pupilName }}</strong> {{ row.verdict.sign }} {{ row.verdict.words }}
              </p>
              <p class="facts">{{ row.view.stem }} {{ words().right(row.key) }}</p>
              <p class="facts">
                <a
                  [routerLink]="['/review', row.answer.sessionId]"
                  [queryParams]="{ pupil: row.answer.pupilId, asking: row.answer.askingId }"
                  >{{ words().question(row.answer.lessonTitle, row.answer.question) }}</a>, {{ row.answer.atMs | date: 'd MMM' }}
              </p>
            </div>
          </li>
        } @empty {
          <li class="facts">{{ words().none }}</li>
        }
      </ol>
      @if (answers().length > shown()) {
        <button mat-button type="button" class="more" (click)="shown.set(answers().length)">{{ words().all(answers().length) }}</button>
      }
    </section>
  `,
  styles: `
    section {
      position: relative;
      padding: 1rem;
      border: 1px solid var(--ink);
      border-radius: 4px;
      background: var(--sheet);
    }
    h2 {
      padding-right: 3rem;
    }
    .close {
      position: absolute;
      top: 0.25rem;
      right: 0.25rem;
    }
    ol {
      display: grid;
      gap: 0.6rem;
      max-height: 60vh;
      margin: 0.6rem 0 0;
      padding: 0;
      overflow-y: auto;
      list-style: none;
    }
    li {
      display: grid;
      grid-template-columns: 5.6rem minmax(0, 1fr);
      gap: 0.75rem;
      align-items: center;
    }
    .more {
      margin-top: 0.6rem;
    }
    p {
      font-size: 0.95rem;
    }
    @media print {
      :host {
        display: none;
      }
    }
  `,
})
export class AnswersList {
  readonly title = input.required<string>();
  readonly answers = input.required<readonly AnswerInLesson[]>();
  readonly closed = output();
  protected readonly words = ANSWERS_WORDS;
  protected readonly sum = computed(() => {
    const right = this.answers().filter(({ verdict }) => isRightVerdict(verdict)).length;
    return this.words().sum(this.answers().length, right);
  });
  /** The newest come at once, the others when they are wanted: each is a small picture. */
  protected readonly shown = anewWith(this.title, () => AT_ONCE);
  protected readonly rows = computed(() =>
    this.answers()
      .slice(0, this.shown())
      .map((answer) => {
        const kind = kindOf(answer.item);
        const key = kind.responseText(answer.item, kind.keyOf(answer.item, answer.settings), answer.settings);
        return { answer, view: kind.viewOf(answer.item, answer.settings), key, verdict: VERDICT_WORDS[answer.verdict] };
      }),
  );
}
