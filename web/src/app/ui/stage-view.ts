import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  type ElementRef,
  inject,
  input,
  linkedSignal,
  viewChild,
} from '@angular/core';
import { type Pose, poseBetween, turnDeg } from '@zeitpunkt/core/dial/pose';
import type { Scene } from '@zeitpunkt/core/scene/scene-node';
import { type StageLayout, stageScene, tallHeight } from '@zeitpunkt/core/scene/stage-scene';
import type { StageState } from '@zeitpunkt/core/scene/stage-state';
import { describeStage } from '@zeitpunkt/core/scene/describe-stage';
import { SvgOutlet } from './svg-outlet';
import { deskTongue } from '../shared/words/spoken';

/** A piece of stage to play: what is seen at each moment, how long it moves, and when it began. */
export interface StagePlay {
  readonly stateAt: (elapsedMs: number) => StageState;
  /** How long it moves by itself, in milliseconds; frames are drawn only that long. */
  readonly motionMs: number;
  /** When it began, on this window's `Date.now` clock. */
  readonly beganAtMs: number;
  /** How far it has come, in milliseconds, where something else than the clock tells so: a voice that can pause and go slower. */
  readonly elapsedMs?: () => number;
  /** What is drawn besides, for this window alone. */
  readonly besides?: (scene: Scene, state: StageState) => Scene;
  /** The hands are turned by somebody: they glide there from where they were last seen. */
  readonly glides?: boolean;
}

/** How long hands glide: about the time between two positions that come over the line. */
const GLIDE_MS = 140;
/** A longer way than this many degrees of the minute hand is not a turn that is followed, but a new time. */
const LONGEST_GLIDE_DEG = 90;

/** Where it is looked up what will be shown, as parts of the motion: what is written may come and go. */
const MOMENTS = [0, 0.25, 0.5, 0.75, 1];

/** With reduced motion the hands go on in steps, one a second. */
const REDUCED_STEP_MS = 1000;

/** Plays the stage: one pure state for each moment, one scene, one outlet. */
@Component({
  selector: 'zp-stage',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: '<svg #svg class="scene" role="img" [attr.aria-label]="label()"></svg>',
  styles: ':host { display: block; contain: layout paint style; }',
})
export class StageView {
  readonly play = input.required<StagePlay>();
  readonly layout = input<StageLayout>('wide');
  /** Somebody is turning a hand here: what is seen is said in words when they let go. */
  readonly inHand = input(false);
  /** What is seen, in words: where the stage comes to rest, so that a count does not speak at every tick. */
  protected readonly label = linkedSignal<StagePlay | null, string>({
    source: () => (this.inHand() ? null : this.play()),
    computation: (play, before) => (play ? describeStage(play.stateAt(Infinity), deskTongue()) : (before?.value ?? '')),
  });
  private readonly svg = viewChild.required<ElementRef<SVGSVGElement>>('svg');
  private outlet: SvgOutlet | null = null;
  private readonly reduced = matchMedia('(prefers-reduced-motion: reduce)');
  private frame = 0;
  /** Where the hands were drawn last. */
  private seen: Pose | null = null;

  constructor() {
    afterRenderEffect(() => {
      const play = this.play();
      this.outlet ??= new SvgOutlet(this.svg().nativeElement);
      cancelAnimationFrame(this.frame);
      this.run(play, this.layout(), this.outlet);
    });
    inject(DestroyRef).onDestroy(() => cancelAnimationFrame(this.frame));
  }

  private run(play: StagePlay, layout: StageLayout, outlet: SvgOutlet): void {
    const calm = this.reduced.matches;
    const beganAtMs = Date.now();
    const from = calm ? null : this.glideFrom(play);
    const height = layout === 'tall' ? tallHeight(MOMENTS.map((part) => play.stateAt(part * play.motionMs))) : undefined;
    const draw = () => {
      const now = Date.now();
      const elapsedMs = Math.max(0, play.elapsedMs?.() ?? now - play.beganAtMs);
      const moving = elapsedMs < play.motionMs;
      const shownMs = calm && moving ? Math.floor(elapsedMs / REDUCED_STEP_MS) * REDUCED_STEP_MS : elapsedMs;
      const state = play.stateAt(shownMs);
      const part = from && state.dial ? Math.min(1, (now - beganAtMs) / GLIDE_MS) : 1;
      const shown =
        part < 1 && from && state.dial ? { ...state, dial: { ...state.dial, pose: poseBetween(from, state.dial.pose, part) } } : state;
      this.seen = shown.dial?.pose ?? null;
      const scene = stageScene(shown, layout, height);
      outlet.draw(play.besides?.(scene, shown) ?? scene);
      if (moving || part < 1) this.frame = requestAnimationFrame(draw);
    };
    draw();
  }

  private glideFrom(play: StagePlay): Pose | null {
    const to = play.glides ? play.stateAt(Infinity).dial?.pose : null;
    const way = to && this.seen ? Math.abs(turnDeg(this.seen.minuteDeg, to.minuteDeg)) : 0;
    return way > 0 && way <= LONGEST_GLIDE_DEG ? this.seen : null;
  }
}
