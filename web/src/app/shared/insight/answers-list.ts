import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output } from '@angular/core';
import { RouterLink } from '@angular/router';
import { isRightVerdict, kindOf } from '@zeitpunkt/core';
import { ResponseView } from '../../question-views/response-view';
import { TakesFocus } from '../../ui/takes-focus';
import type { AnswerInLesson } from './insight-messages';
import { VERDICT_WORDS } from '../verdict-words';

const AT_ONCE = 12;

/** The answers that a figure comes from, the newest first: each leads to its lesson. */
@Component({
  selector: 'zp-answers-list',
  imports: [DatePipe, ResponseView, RouterLink, TakesFocus],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-labelledby="shown-answers">
      <h2 id="shown-answers" [zpTakesFocus]="title()">{{ title() }}</h2>
      <p class="facts">{{ sum() }}</p>
      <button type="button" class="press close" (click)="closed.emit()">Close<span class="heard-only"> these answers</span></button>
      <ol>
        @for (row of rows(); track row.answer.id) {
          <li>
            <zp-response class="given" [response]="row.answer.response" [view]="row.view" />
            <div>
              <p>
                <strong>{{ row.answer.pupilName }}</strong> {{ row.verdict.sign }} {{ row.verdict.words }}
              </p>
              <p class="facts">{{ row.view.stem }} Right: {{ row.key }}.</p>
              <p class="facts">
                <a
                  [routerLink]="['/review', row.answer.sessionId]"
                  [queryParams]="{ pupil: row.answer.pupilId, asking: row.answer.askingId }"
                  >{{ row.answer.lessonTitle }}, question {{ row.answer.question }}</a
                >, {{ row.answer.atMs | date: 'd MMM' }}
              </p>
            </div>
          </li>
        } @empty {
          <li class="facts">There is no such answer.</li>
        }
      </ol>
      @if (answers().length > shown()) {
        <button type="button" class="press more" (click)="shown.set(answers().length)">Show all {{ answers().length }}</button>
      }
    </section>
  `,
  styles: `
    section {
      position: relative;
      padding: 1rem;
      border: 2px solid var(--ink);
      border-radius: 5px;
      background: var(--sheet);
    }
    h2 {
      padding-right: 5rem;
    }
    .close {
      position: absolute;
      top: 1rem;
      right: 1rem;
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
      grid-template-columns: 4.2rem minmax(0, 1fr);
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
  protected readonly sum = computed(() => {
    const right = this.answers().filter(({ verdict }) => isRightVerdict(verdict)).length;
    return `${this.answers().length} ${this.answers().length === 1 ? 'answer' : 'answers'}, ${right} right`;
  });
  /** The newest come at once, the others when they are wanted: each is a small picture. */
  protected readonly shown = linkedSignal<readonly AnswerInLesson[], number>({ source: this.answers, computation: () => AT_ONCE });
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
