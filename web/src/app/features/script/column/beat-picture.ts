import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { Icon } from '../../../ui/icons/icon';
import { SmallDial } from '../../../ui/parts/small-dial';
import type { BeatPicture } from './beat-rows';

/** What stands for a beat; its name stands beside it. */
@Component({
  selector: 'zp-beat-picture',
  imports: [Icon, SmallDial],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let it = picture();
    @if (it.kind === 'icon') {
      <span class="icon" [style.width.px]="size()" [style.height.px]="size()"><mat-icon [svgIcon]="it.icon" /></span>
    } @else if (it.kind === 'think') {
      <zp-dial [size]="size()" [from]="0" [to]="it.seconds" />
    } @else {
      <zp-dial [hands]="it.pose" [size]="size()" [hourHandAlone]="it.hourHandAlone" />
    }
  `,
  styles: `
    :host {
      display: block;
      flex: none;
    }
    .icon {
      display: grid;
      place-items: center;
      color: var(--soft);
    }
  `,
})
export class BeatPictureView {
  readonly picture = input.required<BeatPicture>();
  /** Width in pixels. */
  readonly size = input(40);
}
