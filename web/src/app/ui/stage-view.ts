import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  type ElementRef,
  inject,
  input,
  viewChild,
} from '@angular/core';
import { describeStage, stageScene, type StageLayout, type StageState } from '@zeitpunkt/core';
import { SvgOutlet } from './svg-outlet';

/** A piece of stage to play: what is seen at each moment, how long it moves, and when it began. */
export interface StagePlay {
  readonly stateAt: (elapsedMs: number) => StageState;
  /** How long it moves by itself, in milliseconds; frames are drawn only that long. */
  readonly motionMs: number;
  /** When it began, on this window's `Date.now` clock. */
  readonly beganAtMs: number;
}

/** With reduced motion the hands go on in steps, one a second. */
const REDUCED_STEP_MS = 1000;

/** Plays the stage: one pure state for each moment, one scene, one outlet. */
@Component({
  selector: 'zp-stage',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: '<svg #svg class="scene" role="img" [attr.aria-label]="label()"></svg>',
  styles: ':host { display: block; }',
})
export class StageView {
  readonly play = input.required<StagePlay>();
  readonly layout = input<StageLayout>('wide');
  /** What is seen, in words: where the stage comes to rest, so that a count does not speak at every tick. */
  protected readonly label = computed(() => describeStage(this.play().stateAt(Infinity)));
  private readonly svg = viewChild.required<ElementRef<SVGSVGElement>>('svg');
  private outlet: SvgOutlet | null = null;
  private frame = 0;

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
    const calm = matchMedia('(prefers-reduced-motion: reduce)').matches;
    const draw = () => {
      const elapsedMs = Math.max(0, Date.now() - play.beganAtMs);
      const moving = elapsedMs < play.motionMs;
      const shownMs = calm && moving ? Math.floor(elapsedMs / REDUCED_STEP_MS) * REDUCED_STEP_MS : elapsedMs;
      outlet.draw(stageScene(play.stateAt(shownMs), layout));
      if (moving) this.frame = requestAnimationFrame(draw);
    };
    draw();
  }
}
