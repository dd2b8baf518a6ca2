import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { Icon } from '../icons/icon';
import type { Pose } from '@zeitpunkt/core/dial/pose';
import { SmallDial } from './small-dial';

/** A wrong idea as two dials: what was asked, and what was answered. The words beside it say the same. */
@Component({
  selector: 'zp-pair',
  imports: [Icon, SmallDial],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <zp-dial [hands]="asked()" [size]="size()" />
    <mat-icon svgIcon="arrow-right-alt" />
    <zp-dial [hands]="answered()" [size]="size()" [wrong]="true" />
  `,
  styles: `
    :host {
      display: flex;
      flex: none;
      align-items: center;
      gap: 6px;
    }
    mat-icon {
      width: 20px;
      height: 20px;
      color: var(--soft);
    }
  `,
  host: { 'aria-hidden': 'true' },
})
export class IdeaPair {
  readonly asked = input.required<Pose>();
  readonly answered = input.required<Pose>();
  /** Width of each dial in pixels. */
  readonly size = input(48);
}
