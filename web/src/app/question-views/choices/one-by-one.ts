import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { dialLetter } from '@zeitpunkt/core/scene/describe-stage';
import { anewWith } from '../../shared/anew-with';
import { deskLanguage } from '../../shared/words/spoken';
import { ReadAloud } from '../../ui/read-aloud';
import { Sign } from '../../ui/sign';
import { ANSWER_WORDS } from '../words';

/** Whole sentences to choose from are read one at a time: each stands alone beside the dial and can be heard by itself. */
@Component({
  selector: 'zp-one-by-one',
  imports: [ReadAloud, Sign],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button type="button" class="sentence" [attr.aria-pressed]="chosen().includes(at())" (click)="pressed.emit(at())">
      <span class="letter">{{ letterOf(at()) }}</span>
      <span>{{ text() }}</span>
      <span class="sign" aria-hidden="true">✓</span>
    </button>
    <p class="heard-only" role="status">{{ words().sentence(at() + 1, texts().length) }}</p>
    <div class="steps">
      @for (one of texts(); track $index) {
        <button
          type="button"
          class="step"
          [class.chosen]="chosen().includes($index)"
          [attr.aria-current]="at() === $index ? 'step' : null"
          [attr.aria-label]="words().sentence($index + 1, texts().length)"
          (click)="at.set($index)"
        >
          {{ letterOf($index) }}
        </button>
      }
      <zp-read-aloud [text]="text()" [language]="language()" [signAlone]="true" />
      <button type="button" class="on" (click)="at.set((at() + 1) % texts().length)">
        <zp-sign name="on" /><span class="heard-only">{{ words().nextSentence }}</span>
      </button>
    </div>
  `,
  styleUrl: './one-by-one.scss',
})
export class OneByOne {
  readonly texts = input.required<readonly string[]>();
  /** Places of the sentences that are taken, from 0. */
  readonly chosen = input.required<readonly number[]>();
  readonly pressed = output<number>();
  protected readonly words = ANSWER_WORDS;
  protected readonly language = deskLanguage;
  protected readonly letterOf = dialLetter;
  /** The sentence that stands there: what was taken already, else the first. */
  protected readonly at = anewWith(
    () => this.texts().join(),
    () => this.chosen()[0] ?? 0,
  );
  protected readonly text = computed(() => this.texts()[this.at()] ?? '');
}
