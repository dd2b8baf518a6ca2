import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

/** Layers of the dial, and what stands beside and below it, that are switched while a demonstration is built. */
export type LayerName =
  | 'ring'
  | 'ring-quarters'
  | 'ring24'
  | 'ticks'
  | 'zones'
  | 'halves'
  | 'quarters'
  | 'shaded'
  | 'hour'
  | 'minute'
  | 'second'
  | 'peek'
  | 'free'
  | 'colours'
  | 'tied'
  | 'second-dial'
  | 'hour-line'
  | 'day-line'
  | 'strip'
  | 'circle';

const HOUR = 'M0 8L5 -18L0 -50L-5 -18Z';
const SECOND = 'M0 20L2 -80L-2 -80Z';
const MINUTE = 'M0 10L4 -30L0 -78L-4 -30Z';
const sector = (from: number, to: number) => {
  const at = (deg: number) => `${(84 * Math.sin((deg * Math.PI) / 180)).toFixed(1)} ${(-84 * Math.cos((deg * Math.PI) / 180)).toFixed(1)}`;
  return `M0 0L${at(from)}A84 84 0 0 1 ${at(to)}Z`;
};

const WITHOUT_RIM: ReadonlySet<LayerName> = new Set(['tied', 'second-dial', 'hour-line', 'day-line', 'strip']);
const FILLED: Partial<Readonly<Record<LayerName, string>>> = {
  zones: sector(60, 90),
  shaded: sector(0, 120),
  circle: sector(0, 270),
  strip: 'M-90 -26H45V26H-90Z',
};
const LINES: Partial<Readonly<Record<LayerName, string>>> = {
  ticks:
    'M0 -84V-60M42 -73L30 -52M73 -42L52 -30M84 0H60M73 42L52 30M42 73L30 52M0 84V60M-42 73L-30 52M-73 42L-52 30M-84 0H-60M-73 -42L-52 -30M-42 -73L-30 -52',
  ring24: 'M0 -50V-30M50 0H30M0 50V30M-50 0H-30M35 -35L22 -22M35 35L22 22M-35 35L-22 22M-35 -35L-22 -22',
  zones: 'M0 0L73 -42M0 0L84 0',
  halves: 'M0 -84V84',
  quarters: 'M0 -84V84M-84 0H84',
  shaded: 'M0 0V-84',
  circle: 'M0 -84V84M-84 0H84',
  tied: 'M-95 -40H-10V40H-95ZM10 -40H95V40H10Z',
  'second-dial': 'M-95 0A45 45 0 1 0 -5 0A45 45 0 1 0 -95 0M5 0A45 45 0 1 0 95 0A45 45 0 1 0 5 0M-50 0V-28M-50 0H-30M50 0V28M50 0H70',
  'hour-line': 'M-95 20H95M-95 0V40M0 0V40M95 0V40M-95 -10Q-48 -50 0 -10Q48 -50 95 -10',
  'day-line': 'M-95 20H95M-60 0V40M10 0V40M70 0V40M-60 -20V-50M10 -20V-50M70 -20V-50',
  strip: 'M-90 -26H90V26H-90ZM-45 -26V26M0 -26V26M45 -26V26',
};
const DOTS: Partial<Readonly<Record<LayerName, string>>> = { ring: '3 47.8', 'ring-quarters': '3 149.4' };

/** What a layer does to a dial, as a small picture. */
@Component({
  selector: 'zp-layer-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="-100 -100 200 200" width="28" height="28" aria-hidden="true">
      @if (hasRim()) {
        <circle class="rim" r="84" />
      }
      @if (filled(); as path) {
        <path class="filled" [attr.d]="path" />
      }
      @if (lines(); as path) {
        <path class="line" [attr.d]="path" />
      }
      @for (hand of hands(); track hand.path) {
        <path [class]="hand.ink" [attr.d]="hand.path" [attr.transform]="'rotate(' + hand.deg + ')'" />
      }
      @if (dots(); as dash) {
        <circle class="dots" r="97" [attr.stroke-dasharray]="dash" />
      }
    </svg>
  `,
  styles: `
    :host,
    svg {
      display: block;
    }
    .rim {
      fill: var(--face);
      stroke: currentColor;
      stroke-width: 8;
    }
    .line {
      fill: none;
      stroke: currentColor;
      stroke-width: 8;
    }
    .filled {
      fill: var(--line);
    }
    .dots {
      fill: none;
      stroke: currentColor;
      stroke-width: 8;
      stroke-linecap: round;
    }
    .plain {
      fill: currentColor;
      stroke: currentColor;
      stroke-width: 6;
    }
    .faint {
      fill: none;
      stroke: currentColor;
      stroke-width: 5;
      stroke-dasharray: 8 8;
    }
    .hour {
      fill: var(--hour);
      stroke: var(--hour);
      stroke-width: 6;
    }
    .minute {
      fill: var(--minute);
      stroke: var(--minute);
      stroke-width: 6;
    }
  `,
})
export class LayerPicture {
  readonly layer = input.required<LayerName>();
  protected readonly hasRim = computed(() => !WITHOUT_RIM.has(this.layer()));
  protected readonly filled = computed(() => FILLED[this.layer()] ?? null);
  protected readonly lines = computed(() => LINES[this.layer()] ?? null);
  protected readonly dots = computed(() => DOTS[this.layer()] ?? null);
  protected readonly hands = computed(() => {
    const layer = this.layer();
    if (layer === 'hour') return [{ path: HOUR, deg: 60, ink: 'plain' }];
    if (layer === 'minute') return [{ path: MINUTE, deg: 300, ink: 'plain' }];
    if (layer === 'second') return [{ path: SECOND, deg: 200, ink: 'plain' }];
    if (layer === 'free') return [HOUR, MINUTE].map((path, place) => ({ path, deg: 180 * place + 90, ink: 'plain' }));
    if (layer === 'peek') return [{ path: HOUR, deg: 0, ink: 'plain' }, { path: MINUTE, deg: 0, ink: 'faint' }]; // prettier-ignore
    if (layer !== 'colours' && layer !== 'tied') return [];
    return [
      { path: HOUR, deg: 60, ink: 'hour' },
      { path: MINUTE, deg: 300, ink: 'minute' },
    ];
  });
}
