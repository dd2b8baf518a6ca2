import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { everySecond } from '../../shared/every-second';

/** Think time left, as a thin line that shortens each second. It hurries nobody: no sound, no flashing. */
@Component({
  selector: 'zp-countdown',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: '<span class="heard-only" role="timer">{{ leftSec() }} seconds to think</span><div [style.width.%]="percent()"></div>',
  styles: `
    :host {
      display: block;
      height: 8px;
      border-radius: 4px;
      background: var(--faint);
    }
    div {
      height: 100%;
      border-radius: 4px;
      background: var(--accent);
    }
  `,
})
export class Countdown {
  readonly countdown = input.required<{ readonly totalMs: number; readonly leftMs: number }>();
  /** When `leftMs` was true, on this device's clock. */
  readonly sinceMs = input.required<number>();
  private readonly now = everySecond();
  private readonly leftMs = computed(() => Math.max(0, this.countdown().leftMs - Math.max(0, this.now() - this.sinceMs())));
  protected readonly leftSec = computed(() => Math.ceil(this.leftMs() / 1000));
  protected readonly percent = computed(() => (100 * this.leftMs()) / this.countdown().totalMs);
}
