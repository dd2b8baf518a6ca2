import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { LineAnswer } from '@zeitpunkt/core/question-kinds/shapes/line';
import { heldUpright } from '../../ui/held-upright';
import { SceneView } from '../../ui/scene-view';
import type { ViewOfShape } from '../answer-view';
import { TextResponse } from '../text-response';
import { markedLine } from './marked-line';

/** The line with the marker where it was put, and the time that is there. */
@Component({
  selector: 'zp-line-large',
  imports: [SceneView, TextResponse],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <zp-scene aria-hidden="true" [scene]="scene()" label="" />
    <zp-text-response [response]="$any(response())" [view]="view()" />
  `,
})
export class LineLarge {
  readonly response = input.required<LineAnswer>();
  readonly view = input.required<ViewOfShape<'line'>>();
  private readonly tall = heldUpright();
  protected readonly scene = computed(() => markedLine(this.view(), this.response().atSec, this.tall()));
}
