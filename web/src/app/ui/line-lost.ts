import { ChangeDetectionStrategy, Component } from '@angular/core';
import { PARTS_WORDS } from './parts/words';

/** The sign beside a name whose device has lost its line. */
@Component({
  selector: 'zp-line-lost',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 16 16" role="img" [attr.aria-label]="words().lineLost">
      <title>{{ words().lineLost }}</title>
      <path d="M2 6a9 9 0 0 1 12 0M4.5 9a5.4 5.4 0 0 1 7 0M7.2 12a1.4 1.4 0 0 1 1.6 0M2 14 14 2" />
    </svg>
  `,
  styles: `
    svg {
      width: 0.9em;
      height: 0.9em;
      vertical-align: -0.1em;
      fill: none;
      stroke: var(--wrong);
      stroke-width: 1.8;
      stroke-linecap: round;
    }
  `,
})
export class LineLost {
  protected readonly words = PARTS_WORDS;
}
