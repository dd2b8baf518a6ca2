import { NgComponentOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, input, type Type } from '@angular/core';
import type { QuestionKindId, Response } from '@zeitpunkt/core';
import { ReadDialResponseView } from './read-dial-response';
import { SetDialResponseView } from './set-dial-response';

/** How a response of each kind is shown, on walls, in reviews and on the desk. A missing kind does not compile. */
const VIEWS: Record<QuestionKindId, Type<unknown>> = { 'read-dial': ReadDialResponseView, 'set-dial': SetDialResponseView };

/** A response as it was given: digits, or a small dial. */
@Component({
  selector: 'zp-response',
  imports: [NgComponentOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: '<ng-container *ngComponentOutlet="view(); inputs: { response: response() }" />',
  styles: ':host { display: block; }',
})
export class ResponseView {
  readonly response = input.required<Response>();
  protected readonly view = computed(() => VIEWS[this.response().kind]);
}
