import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

/** Layers of the dial that are switched while a demonstration is built. */
export type LayerName = 'ring' | 'zones' | 'halves' | 'quarters' | 'shaded' | 'hour' | 'minute' | 'colours';

const HOUR = 'M0 8L5 -18L0 -50L-5 -18Z';
const MINUTE = 'M0 10L4 -30L0 -78L-4 -30Z';
const sector = (from: number, to: number) => {
  const at = (deg: number) => `${(84 * Math.sin((deg * Math.PI) / 180)).toFixed(1)} ${(-84 * Math.cos((deg * Math.PI) / 180)).toFixed(1)}`;
  return `M0 0L${at(from)}A84 84 0 0 1 ${at(to)}Z`;
};

/** What a layer does to a dial, as a small picture. */
@Component({
  selector: 'zp-layer-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="-100 -100 200 200" width="28" height="28" aria-hidden="true">
      <circle class="rim" r="84" />
      @if (filled(); as path) {
        <path class="filled" [attr.d]="path" />
      }
      @if (lines(); as path) {
        <path class="line" [attr.d]="path" />
      }
      @for (hand of hands(); track hand.path) {
        <path [class]="hand.ink" [attr.d]="hand.path" [attr.transform]="'rotate(' + hand.deg + ')'" />
      }
      @if (layer() === 'ring') {
        <circle class="dots" r="97" />
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
      stroke-dasharray: 3 47.8;
      stroke-linecap: round;
    }
    .plain {
      fill: currentColor;
      stroke: currentColor;
      stroke-width: 6;
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
  protected readonly filled = computed(
    () => ({ zones: sector(60, 90), shaded: sector(0, 120) })[this.layer() as 'zones' | 'shaded'] ?? null,
  );
  protected readonly lines = computed(
    () =>
      ({
        zones: 'M0 0L73 -42M0 0L84 0',
        halves: 'M0 -84V84',
        quarters: 'M0 -84V84M-84 0H84',
        shaded: 'M0 0V-84',
      })[this.layer() as 'zones' | 'halves' | 'quarters' | 'shaded'] ?? null,
  );
  protected readonly hands = computed(() => {
    const layer = this.layer();
    if (layer === 'hour') return [{ path: HOUR, deg: 60, ink: 'plain' }];
    if (layer === 'minute') return [{ path: MINUTE, deg: 300, ink: 'plain' }];
    if (layer !== 'colours') return [];
    return [
      { path: HOUR, deg: 60, ink: 'hour' },
      { path: MINUTE, deg: 300, ink: 'minute' },
    ];
  });
}
