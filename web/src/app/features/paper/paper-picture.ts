import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { PaperId } from './papers';

/** Lines on a leaf of 56 by 72. */
const PICTURES: Readonly<Record<PaperId, string>> = {
  sheet:
    'M8 9h26M17 19a8 8 0 1 0 .01 0M17 27v-5M17 27l4 2M39 19a8 8 0 1 0 .01 0M39 27v-5M39 27l-3 -3M11 41h12M33 41h12M17 48a8 8 0 1 0 .01 0M39 48a8 8 0 1 0 .01 0',
  lesson:
    'M8 9h30M14 18a6 6 0 1 0 .01 0M14 24v-4M14 24l3 1M25 20h23M25 27h17M14 38a6 6 0 1 0 .01 0M14 44v-4M14 44l-3 1M25 40h23M25 47h20M8 58h40M8 65h28',
  chart:
    'M16 8a8 8 0 1 0 .01 0M16 16v-5M16 16l3 0M40 8a8 8 0 1 0 .01 0M40 16v-5M40 16l0 4M10 29h12M34 29h12M16 38a8 8 0 1 0 .01 0M16 46v-5M16 46l-3 0M40 38a8 8 0 1 0 .01 0M40 46v-5M40 46l3 -3M10 59h12M34 59h12',
  'cut-out-dial': 'M28 8a17 17 0 1 0 .01 0M28 11v3M28 36v3M14 25h3M39 25h3M28 25h.01M10 52h24M10 62h20v-3l6 5 -6 5v-3H10z',
  zones:
    'M28 12a19 19 0 1 0 .01 0M28 31V12M28 31l9.500 -16.500M28 31l16.500 -9.500M28 31h19M28 31l16.500 9.500M28 31l9.500 16.500M28 31v19M28 31l-9.500 16.500M28 31l-16.500 9.500M28 31H9M28 31l-16.500 -9.500M28 31l-9.500 -16.500M14 62h28',
  'pencil-dial': 'M28 8a18 18 0 1 0 .01 0M28 26l11 -8M39 18l6 -2 -3 5zM10 54h36M10 61h26',
  'fraction-strip': 'M8 12h40v9H8zM8 29h40v9H8zM28 29v9M8 46h40v9H8zM18 46v9M28 46v9M38 46v9',
  'day-line': 'M8 20h40M8 17v6M18 17v6M28 17v6M38 17v6M48 17v6M8 30h18M8 48h40M8 45v6M18 45v6M28 45v6M38 45v6M48 45v6M8 58h12',
  'daily-cards':
    'M7 8h18v26H7zM31 8h18v26H31zM7 40h18v26H7zM31 40h18v26H31zM16 13a6 6 0 1 0 .01 0M16 19v-3M40 13a6 6 0 1 0 .01 0M40 19l3 0M16 45a6 6 0 1 0 .01 0M16 51l-3 0M40 45a6 6 0 1 0 .01 0M40 51v3M11 30h10M35 30h10M11 62h10M35 62h10',
};

/** A paper as a small leaf; its name stands below. */
@Component({
  selector: 'zp-paper-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<svg viewBox="0 0 56 72" aria-hidden="true"><path [attr.d]="pictures[paper()]" /></svg>`,
  styles: `
    :host,
    svg {
      display: block;
    }
    svg {
      width: 56px;
      height: 72px;
      border: 1px solid var(--line);
      border-radius: 3px;
      background: var(--sheet);
    }
    path {
      fill: none;
      stroke: var(--ink);
      stroke-width: 1.4;
      stroke-linecap: round;
      stroke-linejoin: round;
    }
  `,
})
export class PaperPicture {
  readonly paper = input.required<PaperId>();
  protected readonly pictures = PICTURES;
}
