import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { KeyPicture as PictureName } from '@zeitpunkt/core/live/room-key';

/** Our own line drawings of the twelve pictures, 48 by 48, drawn in ink. */
const DRAWINGS: Record<PictureName, string> = {
  boat: 'M6 30H42L36 40H12Z M24 30V6 M24 8L38 26H24 M20 12V26H11Z',
  lamp: 'M18 42L20 20H28L30 42Z M14 42H34 M17 20H31 M20 20V11H28V20 M18 11L24 5L30 11 M33 15L42 12 M33 18L42 21 M15 15L6 12 M15 18L6 21',
  puffin:
    'M17 42Q12 30 17 18Q18 8 26 8Q33 9 33 17Q37 26 34 36L27 42Z M33 14L43 18L33 20 M22 22Q21 32 26 40 M26 14V14.5 M22 42V45 M28 42V45',
  shell: 'M24 40Q6 36 6 20Q10 8 24 8Q38 8 42 20Q42 36 24 40Z M24 40L14 11 M24 40L24 8 M24 40L34 11 M24 40L8 22 M24 40L40 22',
  fish: 'M6 24Q18 8 33 22L43 14V34L33 26Q18 40 6 24Z M14 22V22.5 M22 18Q26 24 22 30',
  loaf: 'M8 38V24Q4 20 7 15Q12 9 24 9Q36 9 41 15Q44 20 40 24V38Z M16 17L20 24 M23 16L27 23 M30 16L34 22',
  anchor:
    'M24 15V42 M24 15A5 5 0 1 1 24 5A5 5 0 1 1 24 15 M15 21H33 M7 29Q9 42 24 42Q39 42 41 29 M7 29L4 35 M7 29L13 33 M41 29L44 35 M41 29L35 33',
  star: 'M24 5L29.5 18L43 19L32.5 28L36 42L24 34.5L12 42L15.5 28L5 19L18.5 18Z',
  cloud: 'M13 36Q4 36 5 28Q6 21 14 22Q16 12 26 13Q34 14 35 22Q43 22 43 29Q43 36 35 36Z',
  kite: 'M26 4L40 18L22 34L12 14Z M26 4L22 34 M12 14L40 18 M22 34Q14 36 16 41Q20 45 12 45',
  sheep:
    'M12 32Q5 30 8 23Q7 16 14 16Q18 10 24 14Q31 10 34 17Q41 19 38 26Q38 32 32 32Z M34 19Q42 16 44 22Q43 28 37 27 M16 32V41 M30 32V41 M39 21V21.5',
  drum: 'M8 15V33Q8 40 24 40Q40 40 40 33V15 M24 22A16 7 0 1 1 24 8A16 7 0 1 1 24 22 M8 16L16 38 M24 22L16 38 M24 22L32 38 M40 16L32 38',
};

/** One picture of a room key. Its name is read out by whoever holds it. */
@Component({
  selector: 'zp-key-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: '<svg viewBox="0 0 48 48" aria-hidden="true"><path [attr.d]="drawings[picture()]" /></svg>',
  styles: `
    :host {
      display: inline-block;
      width: 2.5em;
      height: 2.5em;
    }
    svg {
      display: block;
      width: 100%;
      height: 100%;
    }
    path {
      fill: none;
      stroke: var(--ink);
      stroke-width: 2.6;
      stroke-linecap: round;
      stroke-linejoin: round;
    }
  `,
})
export class KeyPicture {
  readonly picture = input.required<PictureName>();
  protected readonly drawings = DRAWINGS;
}
