import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { type Pose, gearedPose } from '@zeitpunkt/core/dial/pose';
import { HOUR_HAND, MINUTE_HAND } from '@zeitpunkt/core/scene/dial-hands';
import { toSecondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { arcPath, coordinate, pointAt } from '@zeitpunkt/core/scene/scene-node';

/** From so many pixels on there is room for numerals, and for a tick a minute. */
const LARGE = 96;
/** Below so many pixels only the quarters are marked. */
const TINY = 32;

/**
 * A dial as a picture: of a time, or of hands that stand somewhere. Where the time is written beside it, it has no name of its own
 * and is not read out. Source of the measures: `zp-dial` of the design.
 */
@Component({
  selector: 'zp-dial',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      viewBox="-104 -104 208 208"
      [attr.width]="size()"
      [attr.height]="size()"
      [attr.role]="label() ? 'img' : null"
      [attr.aria-label]="label()"
      [attr.aria-hidden]="label() ? null : true"
    >
      <circle class="rim" r="98" />
      @if (sector(); as sector) {
        <path class="sector" [attr.d]="sector" />
      }
      <path class="ticks" [attr.d]="fine()" />
      <path class="quarters" [attr.d]="quarters" />
      @for (numeral of numerals(); track numeral.text) {
        <text [attr.x]="numeral.x" [attr.y]="numeral.y">{{ numeral.text }}</text>
      }
      @if (pose(); as pose) {
        <path class="hour" [class.stout]="isSmall()" [attr.d]="hourHand" [attr.transform]="'rotate(' + pose.hourDeg + ')'" />
        @if (!hourHandAlone()) {
          <path class="minute" [class.stout]="isSmall()" [attr.d]="minuteHand" [attr.transform]="'rotate(' + pose.minuteDeg + ')'" />
        }
        <circle class="hub" r="6" />
      } @else if (!sector()) {
        <text class="asked" y="3">?</text>
      }
    </svg>
  `,
  styles: `
    :host,
    svg {
      display: block;
      flex: none;
    }
    .rim {
      fill: var(--face);
      stroke: var(--ink);
      stroke-width: 1.5px;
      vector-effect: non-scaling-stroke;
    }
    .ticks,
    .quarters {
      fill: none;
      stroke: var(--ink);
      stroke-width: 1px;
      vector-effect: non-scaling-stroke;
    }
    .ticks {
      stroke: var(--line);
    }
    .quarters {
      stroke-width: 2px;
    }
    .sector {
      fill: none;
      stroke: var(--accent);
      stroke-width: 18;
    }
    text {
      fill: var(--ink);
      font:
        700 22px 'Andika',
        sans-serif;
      text-anchor: middle;
      dominant-baseline: central;
    }
    .asked {
      fill: var(--soft);
      font-size: 44px;
    }
    .hour {
      fill: var(--hour);
      stroke: var(--hour);
      stroke-width: 0;
    }
    .minute {
      fill: var(--minute);
      stroke: var(--minute);
      stroke-width: 0;
    }
    .stout {
      stroke-width: 4;
      stroke-linejoin: round;
    }
    .hub {
      fill: var(--ink);
    }
    :host(.wrong) .rim {
      stroke: var(--wrong);
      stroke-dasharray: 4 3;
    }
    :host(.wrong) .hour,
    :host(.wrong) .minute {
      fill: var(--wrong);
      stroke: var(--wrong);
    }
  `,
  host: { '[class.wrong]': 'wrong()' },
})
export class SmallDial {
  /** The time that it shows, in seconds since midnight; null with `hands`, or where it is asked for. */
  readonly at = input<number | null>(null);
  /** Hands that stand somewhere, perhaps at no time. */
  readonly hands = input<Pose | null>(null);
  /** Width in pixels. */
  readonly size = input(48);
  /** Without the minute hand. */
  readonly hourHandAlone = input(false);
  /** What somebody answered who was not right. */
  readonly wrong = input(false);
  /** Minutes of the hour from and to which the rim is filled, clockwise. */
  readonly from = input<number | null>(null);
  readonly to = input<number | null>(null);
  /** What is seen, in words, where nothing beside it says so. */
  readonly label = input<string | null>(null);

  protected readonly hourHand = HOUR_HAND;
  protected readonly minuteHand = MINUTE_HAND;
  protected readonly quarters = ticks([0, 15, 30, 45], 82);
  protected readonly pose = computed(() => {
    const [at, hands] = [this.at(), this.hands()];
    return hands ?? (at === null ? null : gearedPose(toSecondOfDay(at)));
  });
  protected readonly isSmall = computed(() => this.size() < LARGE);
  protected readonly fine = computed(() => {
    if (this.size() < TINY) return '';
    return this.isSmall() ? HOUR_TICKS : MINUTE_TICKS;
  });
  protected readonly numerals = computed(() => (this.isSmall() ? [] : NUMERALS));
  protected readonly sector = computed(() => {
    const [from, to] = [this.from(), this.to()];
    if (from === null || to === null) return null;
    const span = (((to - from) % 60) + 60) % 60;
    return span === 0 ? null : arcPath(from * 6, (from + span) * 6, 88);
  });
}

/** Ticks at minutes, from the rim in to a radius. */
function ticks(minutes: readonly number[], inner: number): string {
  return minutes
    .map((minute) => {
      const [x1, y1] = pointAt(minute * 6, 96).map(coordinate);
      const [x2, y2] = pointAt(minute * 6, inner).map(coordinate);
      return `M${x1} ${y1}L${x2} ${y2}`;
    })
    .join('');
}

const HOUR_TICKS = ticks([5, 10, 20, 25, 35, 40, 50, 55], 88);
const MINUTE_TICKS = ticks(
  Array.from({ length: 60 }, (_, minute) => minute),
  89,
);
const NUMERALS = Array.from({ length: 12 }, (_, index) => {
  const [x, y] = pointAt((index + 1) * 30, 70);
  return { text: String(index + 1), x: coordinate(x), y: coordinate(y) };
});
