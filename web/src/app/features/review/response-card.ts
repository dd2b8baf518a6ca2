import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { isRightVerdict, misconceptionOf, wordingsOf, type LessonSettings } from '@zeitpunkt/core';
import type { MarkCorrect } from '@zeitpunkt/contract';
import { lateWords } from '../../shared/late';
import { VERDICT_WORDS } from '../../shared/verdict-words';
import { ResponseView } from '../../question-views/response-view';
import { TakesFocus } from '../../ui/takes-focus';
import { MarkCorrection } from './mark-correction';
import type { ReviewCell } from './review-table';

/** One answer as it was given, beside the right one, with what would explain it. */
@Component({
  selector: 'zp-response-card',
  imports: [MarkCorrection, MatButton, ResponseView, TakesFocus],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (cell().last; as last) {
      <h2 [zpTakesFocus]="cell().pupil.id + cell().question.askingId">{{ cell().pupil.name }}, question {{ cell().question.name }}</h2>
      <p class="verdict">{{ verdicts[last.mark.verdict].sign }} {{ verdicts[last.mark.verdict].words }}</p>
      <div class="pair">
        <figure>
          <zp-response [response]="last.response" [view]="cell().question.view" />
          <figcaption>as given</figcaption>
        </figure>
        <figure>
          <zp-response [response]="cell().question.key" [view]="cell().question.view" />
          <figcaption>right</figcaption>
        </figure>
      </div>
      <p class="facts">Answered after {{ (last.responseTimeMs / 1000).toFixed(0) }} s{{ changed() }}.</p>
      @if (last.late; as late) {
        <p>
          <strong>{{ late.counted ? 'Late, and counts.' : 'Late: it does not count.' }}</strong> {{ lateWords(last) }}.
          <button mat-stroked-button type="button" (click)="count.emit({ responseId: last.id, counted: !late.counted })">
            {{ late.counted ? 'Do not let it count' : 'Let it count' }}
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
        <p class="facts">Next: {{ idea.nextMove }}</p>
      }
      <h3>What {{ cell().pupil.name }} read</h3>
      @if (last.correction; as correction) {
        <p>“{{ correction.saidThen }}”</p>
        <p class="facts">Whoever looks again since it was corrected reads: “{{ last.mark.sayToPupil }}”</p>
      } @else {
        <p>“{{ last.mark.sayToPupil }}”</p>
      }
      <details>
        <summary>Keep a remark</summary>
        <form novalidate (submit)="remark($event, last.id, note)">
          <label for="note">A remark on this answer, for you alone</label>
          <textarea #note id="note" class="field" rows="2" maxlength="1000"></textarea>
          <button mat-stroked-button type="submit">Keep it</button>
        </form>
      </details>
      <button mat-stroked-button type="button" (click)="closed.emit()">Close</button>
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
    summary {
      cursor: pointer;
    }
    form {
      display: grid;
      gap: 0.4rem;
      justify-items: start;
      margin-top: 0.4rem;
    }
    textarea {
      width: 100%;
    }
  `,
})
export class ResponseCard {
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
    return times > 0 ? `, changed ${times === 1 ? 'once' : `${times} times`}` : '';
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
