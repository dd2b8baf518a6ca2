import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

/** What can be chosen for a film, as lines on a field of 56 by 32. */
const PICTURES = {
  script: 'M4 3h48v26H4zM14 11h12M14 16h28M14 21h20',
  countdown: 'M4 3h48v26H4zM28 7a9 9 0 1 0 .01 0M28 16V8M28 16l6 4',
  card: 'M4 3h48v26H4zM24 10v12M32 10v12',
  in: 'M4 3h48v26H4zM12 23h32M22 7a6 6 0 1 0 .01 0M32 10h12M32 14h8',
  beside: 'M4 2h48v20H4zM14 28h28M20 6a6 6 0 1 0 .01 0M30 9h12M30 13h8',
  none: 'M4 3h48v26H4zM22 8a8 8 0 1 0 .01 0M34 12h10M34 18h8',
} as const;

/** A way of making a film as a small picture; its words stand below. */
@Component({
  selector: 'zp-film-choice',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: '<svg viewBox="0 0 56 32" width="56" height="32" aria-hidden="true"><path [attr.d]="path()" /></svg>',
  styles: `
    :host,
    svg {
      display: block;
    }
    path {
      fill: none;
      stroke: currentColor;
      stroke-width: 1.8;
      stroke-linecap: round;
      stroke-linejoin: round;
    }
  `,
})
export class FilmChoice {
  readonly of = input.required<keyof typeof PICTURES>();
  protected readonly path = computed(() => PICTURES[this.of()]);
}
