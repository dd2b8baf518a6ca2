import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import type { Response } from '@zeitpunkt/core/question-kinds/registry';
import { dialLetter } from '@zeitpunkt/core/scene/describe-stage';
import { type AnswerView, givenTo, responseTo, type ViewOfShape } from '../answer-view';
import { anewWith } from '../../shared/anew-with';
import { ChoiceFace } from '../parts/choice-face';
import { OneByOne } from './one-by-one';

/** Longer texts are sentences: a list of them is more than a child of six can hold at once. */
const LONGEST_LABEL = 40;
const SHORT_LABEL = 6;

/** Taking one choice, or all that fit: each is a large button that stays pressed. */
@Component({
  selector: 'zp-choices-answer',
  imports: [ChoiceFace, OneByOne],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (sentences(); as texts) {
      <div role="group" [attr.aria-label]="view().stem">
        <zp-one-by-one [texts]="texts" [chosen]="chosen()" (pressed)="press($event)" />
      </div>
    } @else {
      <div
        class="choices"
        role="group"
        [attr.aria-label]="view().stem"
        [class.texts]="areTexts()"
        [class.short]="areShort()"
        [class.many]="view().choices.length > 4"
      >
        @for (choice of view().choices; track $index) {
          <button type="button" [attr.aria-pressed]="chosen().includes($index)" (click)="press($index)">
            <span class="letter">{{ letterOf($index) }}</span>
            <zp-choice-face [choice]="choice" [layers]="view().layers" />
            <span class="sign" aria-hidden="true">✓</span>
          </button>
        }
      </div>
    }
  `,
  styleUrl: './answer.scss',
})
export class ChoicesAnswerView implements AnswerView<ViewOfShape<'choices'>> {
  readonly view = input.required<ViewOfShape<'choices'>>();
  readonly given = input.required<Response | null>();
  readonly drafted = output<Response>();
  readonly answered = output<Response>();
  protected readonly letterOf = dialLetter;
  protected readonly areTexts = computed(() => this.view().choices.every((choice) => 'text' in choice));
  /** Times and single words: two go side by side. */
  protected readonly areShort = computed(() =>
    this.view().choices.every((choice) => 'text' in choice && choice.text.length <= SHORT_LABEL),
  );
  protected readonly sentences = computed(() => {
    const texts = this.view().choices.flatMap((choice) => ('text' in choice ? [choice.text] : []));
    return texts.some(({ length }) => length > LONGEST_LABEL) ? texts : null;
  });
  protected readonly chosen = anewWith<readonly number[]>(
    () => this.view().itemId,
    () => givenTo<{ chosen: readonly number[] }>(this.view(), this.given())?.chosen ?? [],
  );

  readonly ready = computed(() => this.chosen().length > 0);

  protected press(place: number): void {
    this.chosen.update((chosen) => {
      if (chosen.includes(place)) return chosen.filter((one) => one !== place);
      return this.view().several ? [...chosen, place].sort((a, b) => a - b) : [place];
    });
    this.drafted.emit(this.response());
  }

  response(): Response {
    return responseTo(this.view(), { chosen: this.chosen() });
  }
}
