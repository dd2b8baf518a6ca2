import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { SessionDetail } from '@zeitpunkt/contract';
import { kindOf } from '@zeitpunkt/core/question-kinds/registry';
import { timesAsked } from '@zeitpunkt/core/run/asking';
import { LatestAttempts } from '@zeitpunkt/core/run/latest';
import { ResponseView } from '../../question-views/response-view';
import { counts } from '../../shared/late';
import { ideaWords } from '@zeitpunkt/core/misconceptions/idea-words';
import { VERDICT_WORDS } from '../../shared/verdict-words';
import { CONSOLE_WORDS } from './words';

/** What one pupil has answered in this lesson so far, question by question. */
@Component({
  selector: 'zp-pupil-answers',
  imports: [MatButton, ResponseView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-labelledby="whose">
      <h3 id="whose">{{ words().soFar(name()) }}</h3>
      <button mat-stroked-button type="button" (click)="closed.emit()">
        {{ words().close }}<span class="heard-only">{{ words().closeOf(name()) }}</span>
      </button>
      <ol>
        @for (row of rows(); track row.askingId) {
          <li>
            <span class="stem">{{ row.number }}. {{ row.stem }}{{ row.again ? words().again : '' }}</span>
            @if (row.given; as given) {
              <zp-response class="given" [response]="given.response" [view]="row.view" />
              <span>{{ row.verdict.sign }} {{ row.verdict.words }}{{ row.ideas ? ': ' + row.ideas : '' }}</span>
            } @else {
              <span class="facts">{{ words().none }}</span>
            }
          </li>
        } @empty {
          <li class="facts">{{ words().nothing }}</li>
        }
      </ol>
    </section>
  `,
  styles: `
    section {
      display: grid;
      grid-template-columns: 1fr auto;
      gap: 0.35rem 1rem;
      align-items: center;
      margin-top: 0.5rem;
      padding: 0.6rem 0.9rem;
      border: 2px solid var(--ink);
      border-radius: 5px;
      background: var(--sheet);
    }
    ol {
      grid-column: 1 / -1;
      margin: 0;
      padding: 0;
      list-style: none;
    }
    li {
      display: grid;
      grid-template-columns: minmax(0, 1fr) 4rem minmax(0, 1.2fr);
      gap: 0.25rem 0.75rem;
      align-items: center;
      padding: 0.15rem 0;
      font-size: 0.95rem;
    }
    .given {
      width: 3.3rem;
    }
  `,
})
export class PupilAnswers {
  readonly detail = input.required<SessionDetail>();
  readonly pupilId = input.required<string>();
  readonly closed = output();
  private readonly catalogue = CONSOLE_WORDS;
  protected readonly words = computed(() => this.catalogue().pupil);

  protected readonly name = computed(() => this.detail().live.participants.find(({ pupilId }) => pupilId === this.pupilId())?.name ?? '');
  protected readonly rows = computed(() => {
    const { live, lesson } = this.detail();
    const latest = new LatestAttempts(live.responses.filter(counts));
    const { askings } = live.room.run;
    return askings.map((asking, index) => {
      const { id: askingId, item } = asking;
      const given = latest.of(this.pupilId(), askingId) ?? null;
      const view = kindOf(item).viewOf(item, lesson.settings);
      return {
        askingId,
        number: index + 1,
        stem: view.stem,
        again: timesAsked(askings, asking) > 1,
        view,
        given,
        verdict: VERDICT_WORDS[given?.mark.verdict ?? 'blank'],
        ideas: given ? ideaWords(given.mark.misconceptions, item, given.response) : '',
      };
    });
  });
}
