import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, signal } from '@angular/core';
import { describeStage } from '@zeitpunkt/core/scene/describe-stage';
import { stageScene } from '@zeitpunkt/core/scene/stage-scene';
import type { StageState } from '@zeitpunkt/core/scene/stage-state';
import { AudienceWindow } from '../../ui/audience-window';
import { SceneView } from '../../ui/scene-view';
import { listenToShow } from '../../shared/show-channel';
import { SHOW_WORDS } from './words';

/** The window to share while a teacher builds on the dial: the stage as it is built, at once, and nothing else. */
@Component({
  selector: 'zp-show',
  imports: [SceneView],
  hostDirectives: [AudienceWindow],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <main>
      <h1 class="heard-only">{{ words().heading }}</h1>
      @if (scene(); as scene) {
        <zp-scene class="stage" [scene]="scene" [label]="label()" />
      } @else {
        <p class="words">{{ words().empty }}</p>
      }
    </main>
  `,
})
export class Show {
  protected readonly words = SHOW_WORDS;
  private readonly stage = signal<StageState | null>(null);
  private readonly large = inject(AudienceWindow).large;
  protected readonly scene = computed(() => {
    const stage = this.stage();
    return stage && stageScene(stage, this.large() ? 'large' : 'wide');
  });
  protected readonly label = computed(() => {
    const stage = this.stage();
    return stage ? describeStage(stage) : '';
  });

  constructor() {
    inject(DestroyRef).onDestroy(listenToShow((stage) => this.stage.set(stage)));
  }
}
