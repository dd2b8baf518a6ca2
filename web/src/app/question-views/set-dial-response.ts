import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { dialScene, PLAIN_LAYERS, setDialText, type SetDialResponse } from '@zeitpunkt/core';
import { SceneView } from '../ui/scene-view';

@Component({
  selector: 'zp-set-dial-response',
  imports: [SceneView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: '<zp-scene [scene]="scene()" [label]="label()" />',
  styles: ':host { display: block; }',
})
export class SetDialResponseView {
  readonly response = input.required<SetDialResponse>();
  protected readonly label = computed(() => `Dial set to ${setDialText(this.response())}`);
  protected readonly scene = computed(() => {
    const { hourDeg, minuteDeg } = this.response();
    return dialScene({ pose: { hourDeg, minuteDeg }, layers: PLAIN_LAYERS, marks: [] });
  });
}
