import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { sectorPath } from '@zeitpunkt/core/scene/scene-node';
import { everySecond } from '../../shared/every-second';
import { DESK_WORDS } from './words';

/** How far from the middle of the small clock what is left is drawn. */
const RADIUS = 17;

/** Think time left, as the part of a small clock that grows less each second. It hurries nobody: no sound, no flashing. */
@Component({
  selector: 'zp-countdown',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <span class="heard-only" role="timer">{{ words().toThink(leftSec()) }}</span>
    <svg viewBox="-20 -20 40 40" aria-hidden="true">
      <circle r="18" />
      <path [attr.d]="left()" />
    </svg>
  `,
  styles: `
    :host {
      display: block;
      flex: none;
      width: 40px;
      height: 40px;
    }
    circle {
      fill: var(--face);
      stroke: var(--ink);
      stroke-width: 1.5;
    }
    path {
      fill: var(--minute);
    }
  `,
})
export class Countdown {
  readonly countdown = input.required<{ readonly totalMs: number; readonly leftMs: number }>();
  /** When `leftMs` was true, on this device's clock. */
  readonly sinceMs = input.required<number>();
  protected readonly words = DESK_WORDS;
  private readonly now = everySecond();
  private readonly leftMs = computed(() => Math.max(0, this.countdown().leftMs - Math.max(0, this.now() - this.sinceMs())));
  protected readonly leftSec = computed(() => Math.ceil(this.leftMs() / 1000));
  /** A sector from the top, clockwise. */
  protected readonly left = computed(() => {
    const part = this.leftMs() / this.countdown().totalMs;
    return part > 0 ? sectorPath(0, 360 * part, RADIUS) : '';
  });
}
