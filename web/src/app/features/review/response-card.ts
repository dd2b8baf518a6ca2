import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatExpansionPanel, MatExpansionPanelHeader } from '@angular/material/expansion';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import type { LessonSettings } from '@zeitpunkt/core/lesson/settings';
import { misconceptionOf } from '@zeitpunkt/core/misconceptions/registry';
import { wordingsOf } from '@zeitpunkt/core/question-kinds/class-wordings';
import { isRightVerdict } from '@zeitpunkt/core/question-kinds/verdict';
import type { MarkCorrect } from '@zeitpunkt/contract';
import { lateWords } from '../../shared/late';
import { VERDICT_WORDS } from '../../shared/verdict-words';
import { ResponseView } from '../../question-views/response-view';
import { TakesFocus } from '../../ui/takes-focus';
import { MarkCorrection } from './mark-correction';
import type { ReviewCell } from './review-table';
import { REVIEW_WORDS } from './words';

/** One answer as it was given, beside the right one, with what would explain it. */
@Component({
  selector: 'zp-response-card',
  imports: [
    MarkCorrection,
    MatButton,
    MatExpansionPanel,
    MatExpansionPanelHeader,
    MatFormField,
    MatInput,
    MatLabel,
    ResponseView,
    TakesFocus,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (cell().last; as last) {
      <h2 [zpTakesFocus]="cell().pupil.id + cell().question.askingId">{{ words().heading(cell().pupil.name, cell().question.name) }}</h2>
      <p class="verdict">{{ verdicts[last.mark.verdict].sign }} {{ verdicts[last.mark.verdict].words }}</p>
      <div class="pair">
        <figure>
          <zp-response [response]="last.response" [view]="cell().question.view" />
          <figcaption>{{ words().given }}</figcaption>
        </figure>
        <figure>
          <zp-response [response]="cell().question.key" [view]="cell().question.view" />
          <figcaption>{{ words().right }}</figcaption>
        </figure>
      </div>
      <p class="facts">{{ words().after((last.responseTimeMs / 1000).toFixed(0), changed()) }}</p>
      @if (last.late; as late) {
        <p>
          <strong>{{ late.counted ? words().lateCounts : words().lateNot }}</strong> {{ lateWords(last) }}.
          <button mat-stroked-button type="button" (click)="count.emit({ responseId: last.id, counted: !late.counted })">
            {{ late.counted ? words().notCount : words().count }}
          </button>
        </p>
      }
      <zp-mark-correction
        [given]="last"
        [wordings]="wordings()"
        (corrected)="corrected.emit({ responseId: last.id, verdict: $event.verdict, reason: $event.reason })"
        (asAtFirst)="asAtFirst.emit(last.id)"
        (accepted)="accepted.emit({ responseId: last.id, wording: $event })"
      />
      @for (idea of ideas(); track idea.name) {
        <h3>{{ idea.name }}</h3>
        <p>{{ idea.whatThePupilDoes }}</p>
        <p class="facts">{{ words().next(idea.nextMove) }}</p>
      }
      <h3>{{ words().read(cell().pupil.name) }}</h3>
      @if (last.correction; as correction) {
        <p>{{ words().quoted(correction.saidThen) }}</p>
        <p class="facts">{{ words().since(last.mark.sayToPupil) }}</p>
      } @else {
        <p>{{ words().quoted(last.mark.sayToPupil) }}</p>
      }
      <mat-expansion-panel class="mat-elevation-z0">
        <mat-expansion-panel-header>{{ words().remark }}</mat-expansion-panel-header>
        <form novalidate (submit)="remark($event, last.id, note)">
          <mat-form-field appearance="outline" subscriptSizing="dynamic">
            <mat-label>{{ words().remarkLabel }}</mat-label>
            <textarea #note matInput rows="2" maxlength="1000"></textarea>
          </mat-form-field>
          <button mat-stroked-button type="submit">{{ words().keep }}</button>
        </form>
      </mat-expansion-panel>
      <button mat-stroked-button type="button" (click)="closed.emit()">{{ words().close }}</button>
    }
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
    .pair {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 1rem;
    }
    figure {
      margin: 0;
      font-size: 1.2rem;
    }
    figcaption {
      text-align: center;
      color: var(--soft);
      font-size: 0.95rem;
    }
    h3 {
      font-size: 1rem;
    }
    .verdict {
      font-weight: 700;
    }
    form {
      display: grid;
      gap: 0.4rem;
      justify-items: start;
      margin-top: 0.4rem;
    }
    mat-form-field {
      width: 100%;
    }
  `,
})
export class ResponseCard {
  private readonly catalogue = REVIEW_WORDS;
  protected readonly words = computed(() => this.catalogue().card);
  readonly cell = input.required<ReviewCell>();
  readonly closed = output();
  readonly settings = input.required<LessonSettings>();
  readonly corrected = output<{ readonly responseId: string; readonly verdict: MarkCorrect['verdict']; readonly reason: string }>();
  readonly asAtFirst = output<string>();
  readonly accepted = output<{ readonly responseId: string; readonly wording: string }>();
  readonly remarked = output<{ readonly responseId: string; readonly text: string }>();
  readonly count = output<{ readonly responseId: string; readonly counted: boolean }>();
  protected readonly lateWords = lateWords;
  protected readonly verdicts = VERDICT_WORDS;
  protected readonly changed = computed(() => {
    const times = this.cell().attempts.length - 1;
    return times > 0 ? this.words().changed(times) : '';
  });
  protected readonly ideas = computed(() => (this.cell().last?.mark.misconceptions ?? []).map(misconceptionOf));
  protected readonly wordings = computed(() => {
    const { last, question } = this.cell();
    return last && !isRightVerdict(last.mark.verdict) ? wordingsOf(question.item, last.response, this.settings()) : [];
  });

  protected remark(event: Event, responseId: string, field: HTMLTextAreaElement): void {
    event.preventDefault();
    const text = field.value.trim();
    if (text === '') return field.focus();
    this.remarked.emit({ responseId, text });
    field.value = '';
  }
}
