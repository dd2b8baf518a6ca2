import { afterRenderEffect, ChangeDetectionStrategy, Component, type ElementRef, input, viewChild } from '@angular/core';
import type { Scene } from '@zeitpunkt/core/scene/scene-node';
import { SvgOutlet } from './svg-outlet';

/** Shows one still scene. The label says in words what is seen. */
@Component({
  selector: 'zp-scene',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: '<svg #svg class="scene" role="img" [attr.aria-label]="label()"></svg>',
  styles: `
    :host {
      display: block;
    }
    /* As large as the room that is left: the drawing itself asks for none. */
    :host(.fills) {
      position: relative;
    }
    :host(.fills) svg {
      position: absolute;
      inset: 0;
    }
  `,
})
export class SceneView {
  readonly scene = input.required<Scene>();
  readonly label = input.required<string>();
  private readonly svg = viewChild.required<ElementRef<SVGSVGElement>>('svg');
  private outlet: SvgOutlet | null = null;

  constructor() {
    afterRenderEffect(() => {
      const scene = this.scene();
      this.outlet ??= new SvgOutlet(this.svg().nativeElement);
      this.outlet.draw(scene);
    });
  }
}
