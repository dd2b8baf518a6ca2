import { NgComponentOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { ItemView, Response } from '@zeitpunkt/core/question-kinds/registry';
import { isNotSure, NOT_SURE_TEXT } from '@zeitpunkt/core/question-kinds/not-sure';
import { shapeViews } from './shape-views';

/** A response as it was given: digits, words, or a small dial. On walls, in reviews and on the desk. */
@Component({
  selector: 'zp-response',
  imports: [NgComponentOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (notSure()) {
      <span class="not-sure">{{ notSure() }}</span>
    } @else if (views(); as views) {
      <ng-container *ngComponentOutlet="isLarge() ? (views.large ?? views.response) : views.response; inputs: inputs()" />
    }
  `,
  styles: `
    :host {
      display: block;
    }
    .not-sure {
      display: block;
      text-align: center;
      font-style: italic;
    }
  `,
})
export class ResponseView {
  readonly response = input.required<Response>();
  /** The question as a pupil sees it. */
  readonly view = input.required<ItemView>();
  /** On the desk there is room for pictures of what was put together. */
  readonly isLarge = input(false);
  protected readonly notSure = computed(() => (isNotSure(this.response()) ? NOT_SURE_TEXT : null));
  protected readonly views = shapeViews(() => this.view().shape);
  protected readonly inputs = computed(() => ({ response: this.response(), view: this.view() }));
}
