import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, input, signal } from '@angular/core';
import { MatIconButton } from '@angular/material/button';
import { MatSlider, MatSliderThumb } from '@angular/material/slider';
import { stageAt } from '@zeitpunkt/core/stage/player';
import { lengthText } from '@zeitpunkt/core/time/length-text';
import type { Film } from '@zeitpunkt/core/voice/film';
import { Icon } from '../../ui/icons/icon';
import { StageView, type StagePlay } from '../../ui/stage-view';
import { VIDEO_WORDS } from './words';

/** The film as it will be, with its captions, without sound: played, or looked at at any moment, or by its chapters. */
@Component({
  selector: 'zp-film-preview',
  imports: [Icon, MatIconButton, MatSlider, MatSliderThumb, StageView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="screen" role="group" [attr.aria-label]="words().label">
      <zp-stage [play]="play()" />
      @if (burnsIn()) {
        <p class="caption">{{ caption() }}</p>
      }
    </div>
    <div class="bar">
      <button mat-icon-button type="button" [attr.aria-label]="playing() ? words().stop : words().play" (click)="toggle()">
        <mat-icon [svgIcon]="playing() ? 'stop' : 'play-arrow'" />
      </button>
      <span class="time">{{ words().at(clock(atMs()), clock(film().totalMs)) }}</span>
      <button mat-icon-button type="button" [attr.aria-label]="words().back" (click)="leap(-1)"><mat-icon svgIcon="chevron-left" /></button>
      <button mat-icon-button type="button" [attr.aria-label]="words().on" (click)="leap(1)"><mat-icon svgIcon="chevron-right" /></button>
      <mat-slider [min]="0" [max]="film().totalMs - 1" [step]="500">
        <input
          matSliderThumb
          [attr.aria-label]="words().moment"
          [attr.aria-valuetext]="clock(atMs())"
          [value]="atMs()"
          (valueChange)="go($event)"
        />
      </mat-slider>
    </div>
  `,
  styles: `
    .screen {
      border: 1px solid var(--ink);
      background: var(--paper);
    }
    zp-stage {
      width: 100%;
      aspect-ratio: 16 / 9;
    }
    .caption {
      display: grid;
      place-items: center;
      min-height: 72px;
      margin: 0;
      padding: 8px 24px;
      background: var(--ink);
      color: var(--sheet);
      font-size: 20px;
      line-height: 28px;
      text-align: center;
      text-wrap: balance;
    }
    .bar {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      align-items: center;
      margin-top: 8px;
    }
    .time {
      min-width: 7rem;
      font-variant-numeric: tabular-nums;
    }
    mat-slider {
      --mat-slider-inactive-track-color: var(--line);

      flex: 1;
      min-width: 6rem;
      margin-right: 12px; // its thumb reaches further than it says
    }
  `,
})
export class FilmPreview {
  readonly film = input.required<Film>();
  /** The captions are in the picture. */
  readonly burnsIn = input.required<boolean>();
  private readonly catalogue = VIDEO_WORDS;
  protected readonly words = computed(() => this.catalogue().preview);
  protected readonly clock = lengthText;
  protected readonly atMs = signal(0);
  protected readonly playing = signal(false);
  private frame = 0;
  private lastMs = 0;
  protected readonly play = computed((): StagePlay => {
    const [{ prepared, shots }, atMs] = [this.film(), this.atMs()];
    const shot = shots.findLast(({ startMs }) => startMs <= atMs) ?? shots[0]!;
    return { stateAt: () => stageAt(prepared, shot.step.ref, atMs - shot.startMs), motionMs: 0, beganAtMs: 0 };
  });
  protected readonly caption = computed(() => {
    const atMs = this.atMs();
    return this.film().cues.find(({ fromMs, toMs }) => fromMs <= atMs && atMs < toMs)?.text ?? '';
  });

  constructor() {
    inject(DestroyRef).onDestroy(() => this.stop());
  }

  /** Goes to a moment. @param ms since the beginning of the film */
  go(ms: number): void {
    this.atMs.set(Math.max(0, Math.min(this.film().totalMs - 1, Math.round(ms))));
  }

  protected leap(by: 1 | -1): void {
    const starts = this.film().chapters.map(({ fromMs }) => fromMs);
    const at = this.atMs();
    this.go(by > 0 ? (starts.find((ms) => ms > at) ?? at) : (starts.findLast((ms) => ms < at - 1000) ?? 0));
  }

  protected toggle(): void {
    if (this.playing()) return this.stop();
    if (this.atMs() >= this.film().totalMs - 1) this.atMs.set(0);
    this.playing.set(true);
    this.lastMs = performance.now();
    const draw = () => {
      const now = performance.now();
      this.go(this.atMs() + now - this.lastMs);
      this.lastMs = now;
      if (this.atMs() >= this.film().totalMs - 1) return this.stop();
      this.frame = requestAnimationFrame(draw);
    };
    this.frame = requestAnimationFrame(draw);
  }

  private stop(): void {
    cancelAnimationFrame(this.frame);
    this.playing.set(false);
  }
}
