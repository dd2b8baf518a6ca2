import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { ResponseOf, ViewOf } from '@zeitpunkt/core';
import { chooseAllText } from '@zeitpunkt/core/question-kinds/choose-all/response-text';
import { dialLetter } from '@zeitpunkt/core/scene/describe-stage';

/** The choices in their order, those taken filled in. */
@Component({
  selector: 'zp-choose-all-response',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <span class="heard-only">{{ text() }}</span>
    <span class="letters" aria-hidden="true">
      @for (choice of choices(); track choice.letter) {
        <span [class.taken]="choice.taken">{{ choice.letter }}</span>
      }
    </span>
  `,
  styles: `
    :host {
      display: block;
      text-align: center;
      font-weight: 700;
    }
    .letters {
      display: inline-flex;
      flex-wrap: wrap;
      gap: 0.15em;
      justify-content: center;
    }
    .letters span {
      width: 1.5em;
      border: 2px solid var(--line);
      border-radius: 4px;
      line-height: 1.4;
      color: var(--soft);
    }
    .letters .taken {
      border-color: var(--ink);
      background: var(--ink);
      color: var(--sheet);
    }
  `,
})
export class ChooseAllResponseView {
  readonly response = input.required<ResponseOf<'choose-all'>>();
  readonly view = input.required<ViewOf<'choose-all'>>();
  protected readonly text = computed(() => chooseAllText(this.response()));
  protected readonly choices = computed(() =>
    this.view().choices.map((_, place) => ({ letter: dialLetter(place), taken: this.response().chosen.includes(place) })),
  );
}
