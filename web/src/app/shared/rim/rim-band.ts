import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Phase } from '@zeitpunkt/core/lesson/phases';
import { isOnTime } from '@zeitpunkt/core/lesson/timing';
import { RIM_WORDS } from './words';

const MS_PER_MINUTE = 60_000;
/** So many minutes carry a figure of their own at most. */
const MOST_FIGURES = 6;

/** A lesson as an unrolled rim: its parts, its minutes and a pointer, as a picture; what it says stands beside it. */
@Component({
  selector: 'zp-rim-band',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (part of parts(); track part.key) {
      <span class="part" [class.here]="part.isHere" [style.left.%]="part.left" [style.width.%]="part.width"
        ><span>{{ part.name }}</span></span
      >
    }
    @if (left(); as left) {
      <span class="part open" [style.left.%]="left.left" [style.width.%]="left.width"></span>
    }
    @for (minute of minutes(); track $index) {
      <i [class.long]="minute.isLong" [style.left.%]="minute.left"></i>
      @if (minute.text) {
        <span class="figure" [style.left.%]="minute.left">{{ minute.text }}</span>
      }
    }
    @if (isOver()) {
      <i class="target" [style.left.%]="target()"></i>
    }
    @if (gone(); as gone) {
      <i class="gone" [style.left.%]="gone.left" [style.width.%]="gone.width"></i>
    }
    <svg class="pointer" viewBox="-8 0 16 46" [style.left.%]="pointer()">
      <path d="M0 0L7 13H-7Z M-1.5 12H1.5V46H-1.5Z" />
    </svg>
  `,
  styles: `
    :host {
      position: absolute;
      inset: 0;
    }
    .part {
      position: absolute;
      top: 4px;
      height: 24px;
      padding-right: 2px;
    }
    .part > span {
      display: block;
      height: 100%;
      padding: 0 6px;
      overflow: hidden;
      background: var(--faint);
      font-size: 14px;
      line-height: 24px;
      text-overflow: ellipsis;
      white-space: nowrap;
    }
    .here > span {
      background: var(--ink);
      color: var(--sheet);
      font-weight: 700;
    }
    .open {
      margin-left: 1px;
      border: 1px dashed var(--line);
      border-radius: 3px;
    }
    i {
      position: absolute;
      top: 31px;
      width: 1px;
      height: 5px;
      background: var(--line);
    }
    i.long {
      width: 2px;
      height: 9px;
      background: var(--ink);
    }
    i.target {
      top: 2px;
      width: 0;
      height: 38px;
      border-left: 2px dashed var(--wrong);
      background: none;
    }
    i.gone {
      top: 29px;
      height: 4px;
      background: var(--wrong);
    }
    .figure {
      position: absolute;
      top: 40px;
      color: var(--soft);
      font-size: 14px;
      line-height: 20px;
      transform: translateX(-50%);
      white-space: nowrap;
    }
    .pointer {
      position: absolute;
      top: 0;
      width: 16px;
      height: 46px;
      margin-left: -8px;
      overflow: visible;
      fill: var(--minute);
      stroke: var(--sheet);
      stroke-width: 1;
      pointer-events: none;
    }
  `,
})
export class RimBand {
  readonly phases = input.required<readonly Phase[]>();
  readonly totalMs = input.required<number>();
  /** How long it was planned to be. */
  readonly targetMs = input.required<number>();
  /** Where the pointer stands, in milliseconds since the beginning. */
  readonly atMs = input.required<number>();
  /** How much time has gone by in truth, where that is more than the pointer says; it is drawn behind it. */
  readonly goneMs = input<number | null>(null);
  private readonly words = RIM_WORDS;
  /** The length of the whole band, in milliseconds. */
  readonly wholeMs = computed(() => Math.max(this.totalMs(), this.targetMs(), 1));
  private readonly percent = (ms: number) => (100 * ms) / this.wholeMs();
  protected readonly parts = computed(() =>
    this.phases().map((phase) => {
      const end = phase.startMs + phase.durationMs;
      return {
        key: phase.from,
        name: this.words().phase[phase.id],
        left: this.percent(phase.startMs),
        width: this.percent(phase.durationMs),
        isHere: this.atMs() >= phase.startMs && this.atMs() < end,
      };
    }),
  );
  /** What is left of the time that was planned; null where nothing is. */
  protected readonly left = computed(() => {
    const leftMs = this.targetMs() - this.totalMs();
    return leftMs > 0 ? { left: this.percent(this.totalMs()), width: this.percent(leftMs) } : null;
  });
  protected readonly isOver = computed(() => this.totalMs() > this.targetMs() && !isOnTime(this.totalMs(), this.targetMs()));
  protected readonly target = computed(() => this.percent(this.targetMs()));
  protected readonly minutes = computed(() => {
    const all = Math.floor(this.wholeMs() / MS_PER_MINUTE);
    const every = Math.max(5, 5 * Math.ceil(all / 5 / MOST_FIGURES));
    return Array.from({ length: all + 1 }, (_, minute) => ({
      left: this.percent(minute * MS_PER_MINUTE),
      isLong: minute % 5 === 0,
      text: minute > 0 && minute % every === 0 ? this.words().minutes(minute) : '',
    }));
  });
  protected readonly pointer = computed(() => this.percent(this.atMs()));
  protected readonly gone = computed(() => {
    const late = Math.min(this.goneMs() ?? 0, this.wholeMs()) - this.atMs();
    return late > 0 ? { left: this.percent(this.atMs()), width: this.percent(late) } : null;
  });
}
