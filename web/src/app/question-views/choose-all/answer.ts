import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output } from '@angular/core';
import type { Response, ViewOf } from '@zeitpunkt/core';
import { describeDial, dialLetter } from '@zeitpunkt/core/scene/describe-stage';
import { dialScene } from '@zeitpunkt/core/scene/dial-scene';
import { dialOf } from '@zeitpunkt/core/scene/dial-state';
import { SceneView } from '../../ui/scene-view';
import type { AnswerView } from '../answer-view';

/** Choosing all that show a time: each choice is a large button that stays pressed. */
@Component({
  selector: 'zp-choose-all-answer',
  imports: [SceneView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (shown(); as shown) {
      <zp-scene class="shown" [scene]="shown.scene" [label]="shown.label" />
    }
    <div class="side">
      <div class="choices" role="group" [attr.aria-label]="view().stem" [class.texts]="shown()">
        @for (choice of choices(); track choice.place) {
          <button type="button" [attr.aria-pressed]="chosen().includes(choice.place)" (click)="press(choice.place)">
            @if (choice.scene; as scene) {
              <zp-scene [scene]="scene" [label]="choice.label" />
            }
            <span class="letter">{{ choice.letter }}</span>
            @if (!choice.scene) {
              <span>{{ choice.label }}</span>
            }
            <span class="sign" aria-hidden="true">✓</span>
          </button>
        }
      </div>
      <button class="button filled next big" type="button" [disabled]="!chosen().length" (click)="send()">This is my answer</button>
    </div>
  `,
  styleUrl: './answer.scss',
})
export class ChooseAllAnswer implements AnswerView<ViewOf<'choose-all'>> {
  readonly view = input.required<ViewOf<'choose-all'>>();
  readonly given = input.required<Response | null>();
  readonly answered = output<Response>();

  private readonly itemId = computed(() => this.view().itemId);
  protected readonly chosen = linkedSignal<string, readonly number[]>({
    source: this.itemId,
    computation: () => {
      const given = this.given();
      return given?.kind === 'choose-all' ? given.chosen : [];
    },
  });
  protected readonly shown = computed(() => {
    const { shown, layers } = this.view();
    if (!shown) return null;
    const dial = dialOf(shown, layers);
    return { scene: dialScene(dial), label: describeDial(dial) };
  });
  protected readonly choices = computed(() =>
    this.view().choices.map((choice, place) => {
      const letter = dialLetter(place);
      if ('text' in choice) return { place, letter, scene: null, label: choice.text };
      const dial = dialOf(choice, { ...this.view().layers, numerals: choice.numerals });
      return { place, letter, scene: dialScene(dial), label: describeDial(dial) };
    }),
  );

  protected press(place: number): void {
    this.chosen.update((chosen) =>
      chosen.includes(place) ? chosen.filter((one) => one !== place) : [...chosen, place].sort((a, b) => a - b),
    );
  }

  protected send(): void {
    this.answered.emit({ kind: 'choose-all', chosen: this.chosen() });
  }
}
