import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { QuestionKindId } from '@zeitpunkt/core/question-kinds/registry';

/** Small signs on a field of 24 by 24, each a line to draw. */
const SIGNS = {
  dial: 'M12 2a10 10 0 1 0 .01 0M12 12V5M12 12l4 3',
  emptyDial: 'M12 2a10 10 0 1 0 .01 0M12 12h.01',
  hourDial: 'M12 2a10 10 0 1 0 .01 0M12 12l4 -3',
  minuteDial: 'M12 2a10 10 0 1 0 .01 0M12 12V4',
  ringDial: 'M12 5a7 7 0 1 0 .01 0M12 1h.01M20 4h.01M23 12h.01M20 20h.01M12 23h.01M4 20h.01M1 12h.01M4 4h.01',
  faceDial: 'M12 2a10 10 0 1 0 .01 0M12 5v.01M19 12h.01M12 19h.01M5 12h.01',
  secondsDial: 'M12 2a10 10 0 1 0 .01 0M12 12l7 -5M12 12l-3 2',
  display: 'M2 7h8v10H2zM14 7h8v10h-8zM12 10h.01M12 14h.01',
  lines: 'M3 7h18M3 12h18M3 17h11',
  hands: 'M8 20V9l-2 -3 2 -4 2 4 -2 3M16 20V4M14 7l2 -4 2 4',
  three: 'M4 6a3 3 0 1 0 .01 0M12 6a3 3 0 1 0 .01 0M20 6a3 3 0 1 0 .01 0M1 17h6',
  threeAll: 'M4 6a3 3 0 1 0 .01 0M12 6a3 3 0 1 0 .01 0M20 6a3 3 0 1 0 .01 0M1 17h6M17 17h6',
  odd: 'M4 4a3 3 0 1 0 .01 0M12 4a3 3 0 1 0 .01 0M20 4a3 3 0 1 0 .01 0M9 15l6 6M15 15l-6 6',
  crossed: 'M4 3a3 3 0 1 0 .01 0M4 15a3 3 0 1 0 .01 0M9 6l6 12M9 18l6 -12M18 3h5v5h-5zM18 16h5v5h-5z',
  rising: 'M4 15a3 3 0 1 0 .01 0M12 9a3 3 0 1 0 .01 0M20 3a3 3 0 1 0 .01 0',
  steps: 'M2 18h5v-5h5v-5h5v-5h5',
  yesNo: 'M5 7l3 3 6 -7M6 15l8 7M14 15l-8 7',
  speech: 'M3 4h18v12h-9l-5 5v-5H3z',
  arc: 'M3 18a9 10 0 0 1 18 0M17 14l4 4 2 -5',
  between: 'M3 6v12M21 6v12M3 12h18M17 9l4 3 -4 3',
  line: 'M2 16h20M5 13v6M12 13v6M19 13v6M9 4v7M7 8l2 3 2 -3',
  sun: 'M12 8a4 4 0 1 0 .01 0M12 1v3M12 20v3M1 12h3M20 12h3M4 4l2 2M18 18l2 2M4 20l2 -2M18 6l2 -2',
  moon: 'M15 3a9 9 0 1 0 6 14 8 8 0 0 1 -6 -14',
  late: 'M4 12h14M14 8l4 4 -4 4M22 4v16',
  labels: 'M3 12h7M10 6v12M10 6h5M10 18h5M17 4h5v4h-5zM17 16h5v4h-5z',
  sand: 'M5 3h14M5 21h14M7 3v4l10 10v4M17 3v4l-10 10v4',
  ask: 'M8 8a4 4 0 1 1 5 4q-1 1 -1 3M12 20h.01',
} as const;

type Sign = keyof typeof SIGNS;

/** What a pupil gets and what a pupil does with it. */
const PICTURES: Readonly<Record<QuestionKindId, readonly [Sign, Sign]>> = {
  'read-dial': ['dial', 'display'],
  'set-dial': ['display', 'emptyDial'],
  'choose-all': ['display', 'threeAll'],
  'choose-one': ['display', 'three'],
  'odd-one-out': ['odd', 'ask'],
  match: ['crossed', 'lines'],
  'possible-dial': ['dial', 'yesNo'],
  'hour-hand-alone': ['hourDial', 'lines'],
  'minute-hand-alone': ['minuteDial', 'lines'],
  'explain-mistake': ['dial', 'speech'],
  'write-display': ['lines', 'display'],
  'write-words': ['dial', 'lines'],
  'hands-in-words': ['hands', 'display'],
  'fill-face': ['faceDial', 'ask'],
  'ring-minutes': ['ringDial', 'ask'],
  'label-parts': ['dial', 'labels'],
  units: ['sand', 'ask'],
  'place-on-line': ['dial', 'line'],
  'half-of-day': ['sun', 'moon'],
  'convert-24': ['display', 'display'],
  'sensible-time': ['sun', 'display'],
  'early-late': ['dial', 'late'],
  'later-earlier': ['dial', 'arc'],
  'between-times': ['between', 'display'],
  pattern: ['steps', 'ask'],
  'order-times': ['rising', 'lines'],
  'second-hand': ['secondsDial', 'ask'],
};

/** What a kind of question gives and what it asks for, as a picture; its name stands below. */
@Component({
  selector: 'zp-kind-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 68 24" width="68" height="24" aria-hidden="true">
      <path [attr.d]="signs()[0]" />
      <path class="to" d="M29 12h9M35 9l3 3 -3 3" />
      <path [attr.d]="signs()[1]" transform="translate(43 0)" />
    </svg>
  `,
  styles: `
    :host,
    svg {
      display: block;
    }
    path {
      fill: none;
      stroke: currentColor;
      stroke-width: 1.6;
      stroke-linecap: round;
      stroke-linejoin: round;
    }
    .to {
      stroke: var(--soft);
    }
  `,
})
export class KindPicture {
  readonly kind = input.required<QuestionKindId>();
  protected readonly signs = computed(() => PICTURES[this.kind()].map((sign) => SIGNS[sign]));
}
