import { ChangeDetectionStrategy, Component, input } from '@angular/core';

/** Our own signs for what is on the pupil's desk, 24 by 24, drawn in lines of two. A child who cannot read yet goes by them. */
const SIGNS = {
  // An answer that goes out.
  send: 'M4 5l16 7-16 7 3-7z M7 12h7',
  // A dial that asks.
  unsure: 'M12 3a9 9 0 1 0 .01 0 M9.6 9.6a2.5 2.5 0 1 1 3.6 2.2c-.8.4-1.2.9-1.2 1.8 M12 16.6v.2',
  read: 'M4 9.5v5h3.5L12 18.5V5.5L7.5 9.5z M15.5 9a4.2 4.2 0 0 1 0 6 M18 6.5a8 8 0 0 1 0 11',
  stop: 'M7 7h10v10H7z',
  pause: 'M8.5 6v12 M15.5 6v12',
  slower: 'M11 6l-6 6 6 6 M19 6l-6 6 6 6',
  captions: 'M3.5 6h17v12h-17z M7 11h5 M15 11h2 M7 14.5h3 M13 14.5h4',
  clock: 'M12 3a9 9 0 1 0 .01 0 M12 12V6.5 M12 12l-3.5 2',
  more: 'M4.5 12h1 M11.5 12h1 M18.5 12h1',
  right: 'M4.5 12.5l5 5L19.5 7',
  // Look once more.
  look: 'M2.5 12S6 5.5 12 5.5 21.5 12 21.5 12 18 18.5 12 18.5 2.5 12 2.5 12z M12 9.5a2.5 2.5 0 1 0 .01 0',
  pupil: 'M12 4a4 4 0 1 0 .01 0 M4.5 20c.6-4 3.5-6 7.5-6s6.9 2 7.5 6z',
  // The answer lies safe in its box.
  kept: 'M4 11v8.5h16V11 M2.5 11h5l1.5 3h6l1.5-3h5 M12 3.5v6 M9 7l3 3 3-3',
  // A line with a gap.
  line: 'M2.5 12h5 M16.5 12h5 M9.5 8.5v7 M14.5 8.5v7',
  closed: 'M6 11h12v9H6z M8.5 11V7.5a3.5 3.5 0 0 1 7 0V11',
  change: 'M5 19l1-4L16.5 4.5l3 3L9 18z M14 7l3 3',
  away: 'M10 4.5H5v15h5 M13 8l4.5 4-4.5 4 M9 12h8',
  two: 'M8.5 5a3.2 3.2 0 1 0 .01 0 M2.5 19c.5-3.800 2.700-5.5 6-5.5s5.5 1.700 6 5.5z M16 6a2.700 2.700 0 1 1 1 5.2 M16.5 14c2.800 0 4.600 1.5 5 5h-4',
  back: 'M15 5l-7 7 7 7',
  on: 'M9 5l7 7-7 7',
  again: 'M5.5 8.5A8 8 0 1 1 4 12 M5 3.5v5h5',
  rub: 'M8 6h12v12H8l-5-6z M11 9.5l5 5 M16 9.5l-5 5',
  earlier: 'M12 19V5 M6 11l6-6 6 6',
  later: 'M12 5v14 M6 13l6 6 6-6',
  grip: 'M8 5h.01 M8 12h.01 M8 19h.01 M16 5h.01 M16 12h.01 M16 19h.01',
  wait: 'M7 3.5h10 M7 20.5h10 M8 3.5c0 5 8 6 8 8.5 M8 20.5c0-5 8-6 8-8.5 M16 3.5c0 5-8 6-8 8.5 M16 20.5c0-5-8-6-8-8.5',
} as const;

export type SignName = keyof typeof SIGNS;

/** A sign beside the word that means the same. */
@Component({
  selector: 'zp-sign',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: '<svg viewBox="0 0 24 24" aria-hidden="true"><path [attr.d]="signs[name()]" /></svg>',
  styles: `
    :host {
      display: inline-block;
      flex: none;
      width: 26px;
      height: 26px;
      line-height: 0;
    }
    svg {
      width: 100%;
      height: 100%;
    }
    path {
      fill: none;
      stroke: currentColor;
      stroke-width: 2;
      stroke-linecap: round;
      stroke-linejoin: round;
    }
  `,
})
export class Sign {
  readonly name = input.required<SignName>();
  protected readonly signs = SIGNS;
}
