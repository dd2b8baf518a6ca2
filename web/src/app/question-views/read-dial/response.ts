import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { ResponseOf, ViewOf } from '@zeitpunkt/core';
import { readDialText } from '@zeitpunkt/core/question-kinds/read-dial/response-text';

@Component({
  selector: 'zp-read-dial-response',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: '<span>{{ text() }}</span>',
  styles:
    ':host { display: block; text-align: center; font-weight: 700; font-size: 1.6em; line-height: 1.3; font-variant-numeric: tabular-nums; }',
})
export class ReadDialResponseView {
  readonly response = input.required<ResponseOf<'read-dial'>>();
  readonly view = input.required<ViewOf<'read-dial'>>();
  protected readonly text = computed(() => readDialText(this.response()));
}
