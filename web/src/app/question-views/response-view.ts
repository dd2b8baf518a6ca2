import { NgComponentOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { ItemView, Response } from '@zeitpunkt/core';
import { kindViews } from './kind-views';

/** A response as it was given: digits, or a small dial. On walls, in reviews and on the desk. */
@Component({
  selector: 'zp-response',
  imports: [NgComponentOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (views(); as views) {
      <ng-container *ngComponentOutlet="views.response; inputs: inputs()" />
    }
  `,
  styles: ':host { display: block; }',
})
export class ResponseView {
  readonly response = input.required<Response>();
  /** The question as a pupil sees it. */
  readonly view = input.required<ItemView>();
  protected readonly views = kindViews(() => this.response().kind);
  protected readonly inputs = computed(() => ({ response: this.response(), view: this.view() }));
}
