import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { ItemFacts } from '@zeitpunkt/core/insight/item-facts';
import { misconceptionOf, type MisconceptionId } from '@zeitpunkt/core/misconceptions/registry';
import { ResponseView } from '../../question-views/response-view';
import type { LessonAnswer } from '../../shared/insight/answers-of-lesson';
import { ideaWords } from '@zeitpunkt/core/misconceptions/idea-words';
import { TakesFocus } from '../../ui/takes-focus';
import type { ReviewQuestion } from './review-table';
import { REVIEW_WORDS } from './words';

/** What some pupils gave alike. */
interface Given {
  readonly text: string;
  readonly response: LessonAnswer['response'];
  readonly pupils: readonly { readonly id: string; readonly name: string }[];
}

/** A question with all that was answered to it, grouped by what explains the answers, and what it told. */
@Component({
  selector: 'zp-question-card',
  imports: [MatButton, ResponseView, TakesFocus],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 [zpTakesFocus]="question().askingId">{{ all().questionName(question().name) }}</h2>
    <p>
      {{ question().view.stem }} <span class="facts">{{ words().right(question().textOf(question().key)) }}</span>
    </p>
    @for (group of groups(); track group.name) {
      <section>
        <h3>
          {{ group.name }} <span class="facts">{{ group.count }}</span>
        </h3>
        <ul>
          @for (one of group.answers; track one.text) {
            <li>
              <zp-response class="given" [response]="one.response" [view]="question().view" />
              <p>
                @for (pupil of one.pupils; track pupil.id; let last = $last) {
                  <button type="button" class="link" (click)="opened.emit(pupil.id)">{{ pupil.name }}</button>{{ last ? '' : ', ' }}
                }
              </p>
            </li>
          }
        </ul>
        @if (group.nextMove) {
          <p class="facts">{{ all().card.next(group.nextMove) }}</p>
        }
      </section>
    } @empty {
      <p class="facts">{{ words().nobody }}</p>
    }
    <h3>{{ words().told }}</h3>
    <p>{{ told() }}</p>
    @if (facts().doubt; as doubt) {
      <p class="problem">{{ words().doubt(doubt.text) }}</p>
    }
    @if (facts().halfSec; as half) {
      <p class="facts">{{ words().time(half, facts().mostSec ?? half) }}</p>
    }
    <button mat-stroked-button type="button" (click)="closed.emit()">{{ all().card.close }}</button>
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.6rem;
      padding: 1rem;
      border: 2px solid var(--ink);
      border-radius: 5px;
      background: var(--sheet);
    }
    h3 {
      font-size: 1rem;
    }
    h3 .facts {
      font-weight: 400;
    }
    ul {
      display: grid;
      gap: 0.35rem;
      margin: 0.2rem 0;
      padding: 0;
      list-style: none;
    }
    li {
      display: grid;
      grid-template-columns: 4rem minmax(0, 1fr);
      gap: 0.75rem;
      align-items: center;
    }
  `,
})
export class QuestionCard {
  protected readonly all = REVIEW_WORDS;
  protected readonly words = computed(() => this.all().asked);
  readonly question = input.required<ReviewQuestion>();
  readonly facts = input.required<ItemFacts>();
  readonly answers = input.required<readonly LessonAnswer[]>();
  readonly names = input.required<ReadonlyMap<string, string>>();
  /** The pupil whose answer is to be opened. */
  readonly opened = output<string>();
  readonly closed = output();

  /** By what explains them: ideas first, those of most answers first of all, then what nothing explains, then the right ones. */
  protected readonly groups = computed(() => {
    const ideasOf = new Map(this.answers().map(({ id, ideas }) => [id, ideas]));
    const groups = new Map<string, { name: string; rank: number; nextMove: string | null; answers: Given[] }>();
    for (const { text, right, answers } of this.facts().groups) {
      const ideas = right ? [] : (ideasOf.get(answers[0]!.id) ?? []);
      const name = right
        ? this.words().rightGroup
        : ideas.length > 0
          ? ideaWords(ideas, this.question().item, answers[0]!.response)
          : this.words().others;
      const group = groups.get(name) ?? { name, rank: right ? 2 : ideas.length > 0 ? 0 : 1, nextMove: nextMoveOf(ideas), answers: [] };
      const pupils = answers.map(({ pupilId }) => ({ id: pupilId, name: this.names().get(pupilId) ?? '' }));
      group.answers.push({ text, response: answers[0]!.response, pupils });
      groups.set(name, group);
    }
    return [...groups.values()]
      .map((group) => ({ ...group, count: group.answers.reduce((sum, { pupils }) => sum + pupils.length, 0) }))
      .sort((one, other) => one.rank - other.rank || other.count - one.count);
  });
  protected readonly told = computed(() => {
    const { answered, right, separates } = this.facts();
    return `${this.words().sum(right, answered)} ${answered > 0 ? this.words().separates[separates] : ''}`;
  });
}

const nextMoveOf = ([first]: readonly MisconceptionId[]) => (first ? misconceptionOf(first).nextMove : null);
