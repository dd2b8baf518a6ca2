import { ChangeDetectionStrategy, Component, computed, ElementRef, inject, input, model, output, viewChild } from '@angular/core';
import { MatIconButton } from '@angular/material/button';
import { MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { MatTooltip } from '@angular/material/tooltip';
import { type TimingOffer, isOnTime } from '@zeitpunkt/core/lesson/timing';
import { lengthText } from '@zeitpunkt/core/time/length-text';
import type { Phase } from '@zeitpunkt/core/lesson/phases';
import { RimBand } from '../../../shared/rim/rim-band';
import { RIM_WORDS } from '../../../shared/rim/words';
import { Icon } from '../../../ui/icons/icon';
import type { BeatRow } from '../column/beat-rows';
import { SCRIPT_WORDS } from '../words';

/** How far an arrow goes, in milliseconds. */
const STEP_MS = 1000;

/** A lesson as an unrolled rim: its parts, its minutes, a pointer at the moment that is seen, and what was found, each where it is. */
@Component({
  selector: 'zp-lesson-rim',
  imports: [Icon, RimBand, MatIconButton, MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger, MatTooltip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './lesson-rim.html',
  styleUrl: './lesson-rim.scss',
})
export class LessonRim {
  readonly phases = input.required<readonly Phase[]>();
  readonly rows = input.required<readonly BeatRow[]>();
  readonly totalMs = input.required<number>();
  readonly targetMs = input.required<number>();
  readonly playing = input.required<boolean>();
  /** The moment that is seen, in milliseconds since the beginning. */
  readonly atMs = model.required<number>();
  /** What brings it nearer to the time that was planned. */
  readonly offers = input.required<readonly TimingOffer[]>();
  readonly offered = output<TimingOffer>();
  readonly played = output();
  /** A beat at which something was found is to be looked at, by its id. */
  readonly looked = output<string>();
  protected readonly words = SCRIPT_WORDS;
  protected readonly clock = lengthText;
  private readonly band = viewChild.required<ElementRef<HTMLElement>>('band');
  private readonly wholeMs = computed(() => Math.max(this.totalMs(), this.targetMs(), 1));
  private readonly percent = (ms: number) => (100 * ms) / this.wholeMs();
  protected readonly isOver = computed(() => this.totalMs() > this.targetMs() && !isOnTime(this.totalMs(), this.targetMs()));
  protected readonly heard = computed(() => {
    const here = this.phases().findLast(({ startMs }) => startMs <= this.atMs());
    return this.words().rim.at(lengthText(this.atMs()), lengthText(this.totalMs()), here ? RIM_WORDS().phase[here.id] : '');
  });
  protected readonly found = computed(() =>
    this.rows().flatMap(({ id, name, startMs, findings }) => {
      const [first] = findings;
      if (!first) return [];
      return [{ id, left: this.percent(startMs), label: this.words().rim.found(first.what, name), isError: first.severity === 'error' }];
    }),
  );

  constructor() {
    // Not by an event of the template: a pointer that only passes over would draw the whole place anew.
    const host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    host.addEventListener('pointermove', (event) => this.drag(event));
  }

  /** "−1:02". */
  protected by({ bySec }: TimingOffer): string {
    return `${bySec > 0 ? '+' : '−'}${lengthText(1000 * Math.abs(bySec))}`;
  }

  protected press(event: PointerEvent): void {
    if (event.button !== 0) return;
    this.band().nativeElement.setPointerCapture(event.pointerId);
    this.goTo(event);
  }

  private drag(event: PointerEvent): void {
    if (this.band().nativeElement.hasPointerCapture(event.pointerId)) this.goTo(event);
  }

  protected key(event: KeyboardEvent): void {
    const next = this.afterKey(event.key);
    if (next === null) return;
    event.preventDefault();
    event.stopPropagation(); // the arrows of the place choose beats
    this.set(next);
  }

  private afterKey(key: string): number | null {
    const at = this.atMs();
    const starts = this.phases().map(({ startMs }) => startMs);
    switch (key) {
      case 'ArrowRight':
      case 'ArrowUp':
        return at + STEP_MS;
      case 'ArrowLeft':
      case 'ArrowDown':
        return at - STEP_MS;
      case 'PageUp':
        return starts.find((ms) => ms > at) ?? at;
      case 'PageDown':
        return starts.findLast((ms) => ms < at) ?? 0;
      case 'Home':
        return 0;
      case 'End':
        return this.totalMs();
      default:
        return null;
    }
  }

  private goTo({ clientX }: PointerEvent): void {
    const { left, width } = this.band().nativeElement.getBoundingClientRect();
    this.set(((clientX - left) / width) * this.wholeMs());
  }

  private set(ms: number): void {
    this.atMs.set(Math.round(Math.max(0, Math.min(this.totalMs() - 1, ms))));
  }
}
