import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { choicesText, type ChoicesAnswer } from '@zeitpunkt/core/question-kinds/shapes/choices';
import { dialLetter } from '@zeitpunkt/core/scene/describe-stage';
import type { ViewOfShape } from '../answer-view';

/** The choices in their order, those taken filled in; one text alone is shown as it reads. */
@Component({
  selector: 'zp-choices-response',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <span class="heard-only">{{ text() }}</span>
    <span class="letters" aria-hidden="true">
      @for (choice of choices(); track choice.letter) {
        <span [class.taken]="choice.taken">{{ choice.letter }}</span>
      }
    </span>
    @if (only(); as only) {
      <span class="only" aria-hidden="true">{{ only }}</span>
    }
  `,
  styleUrl: './response.scss',
})
export class ChoicesResponseView {
  readonly response = input.required<ChoicesAnswer>();
  readonly view = input.required<ViewOfShape<'choices'>>();
  protected readonly text = computed(() => choicesText(this.response(), this.view().choices));
  protected readonly choices = computed(() =>
    this.view().choices.map((_, place) => ({ letter: dialLetter(place), taken: this.response().chosen.includes(place) })),
  );
  protected readonly only = computed(() => {
    const [first, ...others] = this.response().chosen;
    const choice = first === undefined || others.length > 0 ? undefined : this.view().choices[first];
    return choice && 'text' in choice ? choice.text : null;
  });
}
