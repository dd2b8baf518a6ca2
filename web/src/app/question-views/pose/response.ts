import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { PoseAnswer } from '@zeitpunkt/core/question-kinds/shapes/pose';
import type { ViewOfShape } from '../answer-view';
import { setDialText } from '@zeitpunkt/core/question-kinds/set-dial/response-text';
import { dialScene } from '@zeitpunkt/core/scene/dial-scene';
import { dialOf, PLAIN_LAYERS } from '@zeitpunkt/core/scene/dial-state';
import { SceneView } from '../../ui/scene-view';

@Component({
  selector: 'zp-pose-response',
  imports: [SceneView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: '<zp-scene [scene]="scene()" [label]="label()" />',
  styles: ':host { display: block; }',
})
export class PoseResponseView {
  readonly response = input.required<PoseAnswer>();
  readonly view = input.required<ViewOfShape<'pose'>>();
  protected readonly label = computed(() => `Dial set to ${setDialText(this.response())}`);
  protected readonly scene = computed(() => {
    const { hourDeg, minuteDeg } = this.response();
    return dialScene(dialOf({ hourDeg, minuteDeg }, PLAIN_LAYERS));
  });
}
