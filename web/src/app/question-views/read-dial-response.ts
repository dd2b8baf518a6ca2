import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { readDialText, type ReadDialResponse } from '@zeitpunkt/core';

@Component({
  selector: 'zp-read-dial-response',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: '<span>{{ text() }}</span>',
  styles:
    ':host { display: block; text-align: center; font-weight: 700; font-size: 1.6em; line-height: 1.3; font-variant-numeric: tabular-nums; }',
})
export class ReadDialResponseView {
  readonly response = input.required<ReadDialResponse>();
  protected readonly text = computed(() => readDialText(this.response()));
}
