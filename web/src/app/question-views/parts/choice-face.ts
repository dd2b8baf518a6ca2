import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { type DialLayers, dialOf } from '@zeitpunkt/core/scene/dial-state';
import type { Choice } from '@zeitpunkt/core/question-kinds/shapes/choices';
import { describeDial } from '@zeitpunkt/core/scene/describe-stage';
import { dialScene } from '@zeitpunkt/core/scene/dial-scene';
import { SceneView } from '../../ui/scene-view';
import { deskTongue } from '../../shared/words/spoken';

/** What a card shows: a small dial, or a text. */
@Component({
  selector: 'zp-choice-face',
  imports: [SceneView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (dial(); as dial) {
      <zp-scene [scene]="dial.scene" [label]="dial.label" />
    } @else {
      {{ text() }}
    }
  `,
  styles: `
    zp-scene {
      width: min(100%, 9.5rem);
    }
  `,
})
export class ChoiceFace {
  readonly choice = input.required<Choice>();
  readonly layers = input.required<DialLayers>();
  protected readonly text = computed(() => {
    const choice = this.choice();
    return 'text' in choice ? choice.text : '';
  });
  protected readonly dial = computed(() => {
    const choice = this.choice();
    if ('text' in choice) return null;
    const dial = dialOf({ hourDeg: choice.hourDeg, minuteDeg: choice.minuteDeg }, { ...this.layers(), numerals: choice.numerals });
    return { scene: dialScene(dial), label: describeDial(dial, deskTongue()) };
  });
}
