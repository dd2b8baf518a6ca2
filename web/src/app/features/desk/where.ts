import { ChangeDetectionStrategy, Component, input } from '@angular/core';

/** Where one waits: a picture, 64 by 64, drawn in ink, and beside it what is to be said of it. */
@Component({
  selector: 'zp-where',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 64 64" width="64" height="64" aria-hidden="true"><path [attr.d]="picture()" /></svg>
    <div><ng-content /></div>
  `,
  styles: `
    :host {
      display: flex;
      gap: 16px;
      align-items: center;
      padding-bottom: 10px;
      border-bottom: 1px solid var(--line);
    }
    svg {
      flex: none;
    }
    path {
      fill: none;
      stroke: var(--ink);
      stroke-width: 2.5;
      stroke-linecap: round;
      stroke-linejoin: round;
    }
  `,
})
export class Where {
  /** As path data. */
  readonly picture = input.required<string>();
}
