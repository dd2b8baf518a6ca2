import { ChangeDetectionStrategy, Component, computed, DestroyRef, effect, inject, input, output, signal, untracked } from '@angular/core';
import { MatProgressBar } from '@angular/material/progress-bar';
import type { Diagnosis } from '@zeitpunkt/core/diagnosis/diagnose';
import { misconceptionOf } from '@zeitpunkt/core/misconceptions/registry';
import type { SessionDetail } from '@zeitpunkt/contract';
import { answersIn, Diagnoser } from '../../shared/diagnosis/diagnoser';
import { ideaWords, worthSaying } from '../../shared/diagnosis/sureness-words';
import type { ReviewQuestion } from './review-table';
import { REVIEW_WORDS } from './words';
import { sentenceOf } from '../../shared/api';

/** Which ideas explain a pupil's answers over the whole lesson: a hint with its evidence, every answer of which can be opened. */
@Component({
  selector: 'zp-held-ideas',
  imports: [MatProgressBar],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>{{ words().heading }}</h2>
    @if (progress() !== null) {
      <p id="held-progress">{{ words().looking }}</p>
      <mat-progress-bar aria-labelledby="held-progress" [value]="100 * (progress() ?? 0)" />
    }
    @if (problem(); as problem) {
      <p class="problem" role="alert">{{ problem }}</p>
    }
    @if (found(); as found) {
      <ul>
        @for (row of rows(); track row.pupil.id) {
          <li>
            <strong>{{ row.pupil.name }}</strong>
            @for (idea of row.ideas; track idea.id) {
              <p [title]="idea.nextMove">
                {{ idea.words }}
                @for (one of idea.evidence; track one.askingId) {
                  <button type="button" class="link" (click)="opened.emit({ pupilId: row.pupil.id, askingId: one.askingId })">
                    {{ words().question(one.question) }}
                  </button>
                }
              </p>
            }
          </li>
        } @empty {
          <li class="facts">{{ found.size === 0 ? words().noAnswers : words().none }}</li>
        }
      </ul>
      @if (others(); as others) {
        <p class="facts">{{ others }}</p>
      }
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.4rem;
    }
    ul {
      display: grid;
      gap: 0.4rem;
      margin: 0;
      padding: 0;
      list-style: none;
    }
    p {
      margin: 0;
    }
  `,
})
export class HeldIdeas {
  private readonly catalogue = REVIEW_WORDS;
  protected readonly words = computed(() => this.catalogue().held);
  readonly detail = input.required<SessionDetail>();
  readonly questions = input.required<readonly ReviewQuestion[]>();
  readonly opened = output<{ readonly pupilId: string; readonly askingId: string }>();
  private readonly diagnoser = inject(Diagnoser);
  protected readonly progress = signal<number | null>(null);
  protected readonly problem = signal<string | null>(null);
  protected readonly found = signal<ReadonlyMap<string, Diagnosis> | null>(null);
  private stop: () => void = () => undefined;

  /** Pupils of whom something is worth saying, those with a settled idea first. */
  protected readonly rows = computed(() => {
    const { pupils, live } = this.detail();
    const names = new Map(this.questions().map(({ askingId, name }) => [askingId, name]));
    const askingOf = new Map(live.responses.map(({ id, askingId }) => [id, askingId]));
    const rows = pupils.flatMap((pupil) => {
      const diagnosis = this.found()?.get(pupil.id);
      const ideas = (diagnosis ? worthSaying(diagnosis) : []).map((idea) => ({
        id: idea.id,
        words: ideaWords(idea),
        isSettled: idea.sureness === 'settled',
        nextMove: misconceptionOf(idea.id).nextMove,
        evidence: idea.evidence.flatMap((id) => {
          const askingId = askingOf.get(id);
          return askingId === undefined ? [] : [{ askingId, question: names.get(askingId) ?? '' }];
        }),
      }));
      return ideas.length > 0 ? [{ pupil, ideas }] : [];
    });
    return rows.sort((one, other) => Number(other.ideas[0]!.isSettled) - Number(one.ideas[0]!.isSettled));
  });
  protected readonly others = computed(() => {
    const count = (this.found()?.size ?? 0) - this.rows().length;
    return count > 0 && this.rows().length > 0 ? this.words().others(count) : null;
  });

  constructor() {
    effect(() => {
      const detail = this.detail();
      untracked(() => void this.look(detail));
    });
    inject(DestroyRef).onDestroy(() => this.stop());
  }

  private async look(detail: SessionDetail): Promise<void> {
    this.stop();
    this.problem.set(null);
    this.progress.set(0);
    const pupils = answersIn([detail]);
    // What was held at the end of the lesson, however long ago that is.
    const nowMs = Math.max(0, ...pupils.flatMap(({ answered }) => answered.map(({ atMs }) => atMs)));
    const diagnosing = this.diagnoser.diagnose({ pupils, nowMs }, (part) => this.progress.set(part));
    this.stop = () => diagnosing.stop();
    try {
      this.found.set(await diagnosing.done);
    } catch (error) {
      this.problem.set(sentenceOf(error));
    }
    this.progress.set(null);
  }
}
