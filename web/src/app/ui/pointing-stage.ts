import { ChangeDetectionStrategy, Component, computed, ElementRef, inject, input, output, signal } from '@angular/core';
import type { DialMark } from '@zeitpunkt/core/scene/dial-state';
import type { GroupNode } from '@zeitpunkt/core/scene/scene-node';
import type { StageState } from '@zeitpunkt/core/scene/stage-state';
import { withDialAtHand } from '@zeitpunkt/core/scene/dial-at-hand';
import { withMarks } from '@zeitpunkt/core/scene/with-marks';
import { stageScene } from '@zeitpunkt/core/scene/stage-scene';
import { v4 as uuid } from 'uuid';
import { handUnder, type Hold, moveHold, poseOf, turnedBy, type Turning } from './dial-gesture';
import { arcMark, degOf, inkMark, minuteAt, numeralAt, type ArcBy, type DialPoint, type PointerTool } from './pointer-tools';
import { StageView, type StagePlay } from './stage-view';

/** A gesture under way: hands turned, an arc or a line drawn. */
type Gesture = { readonly type: 'turn'; readonly hold: Hold } | { readonly type: 'draw'; readonly points: readonly DialPoint[] };

const RING: StagePlay['besides'] = (scene, { dialPlace }) => withDialAtHand(scene, dialPlace);

/** How far from the centre a press still means the dial; its face has a radius of 100. */
const REACH = 130;

/** The stage as pupils see it, where the dial itself is the tool: turn its hands, point, draw. */
@Component({
  selector: 'zp-pointing-stage',
  imports: [StageView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: '<zp-stage [play]="shown()" [inHand]="isTurned()" />',
  host: {
    '[class.pen]': "tool() !== 'turn'",
    '(pointerdown)': 'take($event)',
    '(pointerup)': 'letGo($event)',
    '(pointercancel)': 'cancel()',
  },
  styles: `
    :host {
      display: block;
      aspect-ratio: 16 / 9;
      touch-action: none;
      cursor: grab;
    }
    :host(.pen) {
      cursor: crosshair;
    }
    zp-stage {
      height: 100%;
    }
  `,
})
export class PointingStage {
  /** What plays; asked for here, so that at a move of a hand nothing is drawn anew that stands around it. */
  readonly play = input.required<() => StagePlay>();
  readonly tool = input.required<PointerTool>();
  readonly arcBy = input.required<ArcBy>();
  /** What the hands are when one is taken: a time that gears carry, or a free pose. */
  readonly turning = input.required<() => Turning>();

  /** The one of several dials that is at hand has a ring. */
  readonly marksAtHand = input(false);

  /** Told at every move of a hand. Called as it is, not by an event of a template: that would draw all that stands around it anew. */
  readonly turned = input.required<(turned: Turning) => void>();

  readonly turnBegan = output();
  readonly turnEnded = output();
  readonly turnCancelled = output();
  /** Something was pointed at; an ink mark's id is new. */
  readonly marked = output<DialMark>();
  /** Another one of several dials was pressed, and is at hand from now on; its place among all. */
  readonly dialPressed = output<number>();
  /** A numeral was pressed that is to be left out, or put back. */
  readonly gapped = output<number>();

  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  private readonly gesture = signal<Gesture | null>(null);
  /** From the screen to dial units; read once when a gesture begins, so that no frame forces a layout. */
  private toDial: DOMMatrix | null = null;

  private readonly draft = computed<DialMark | null>(() => {
    const gesture = this.gesture();
    return gesture?.type === 'draw' ? this.markOf(gesture.points, 'draft') : null;
  });
  protected readonly isTurned = computed(() => this.gesture()?.type === 'turn');
  protected readonly shown = computed<StagePlay>(() => {
    const [given, draft] = [this.play()(), this.draft()];
    const play = this.marksAtHand() ? { ...given, besides: RING } : given;
    return draft ? { ...play, stateAt: (elapsedMs) => withMarks(play.stateAt(elapsedMs), [draft]) } : play;
  });

  constructor() {
    this.host.addEventListener('pointermove', (event) => this.move(event));
  }

  protected take(event: PointerEvent): void {
    if (!event.isPrimary || event.button !== 0) return;
    const play = this.play()();
    const stage = play.stateAt(Math.max(0, Date.now() - play.beganAtMs));
    const pressed = this.findDial(stage, event);
    if (pressed === null) return;
    event.preventDefault();
    // Another dial is taken up, and what was meant for it is done with the same grab.
    if (pressed !== stage.dialPlace) this.dialPressed.emit(pressed);
    const point = this.pointOf(event);
    this.host.setPointerCapture(event.pointerId);
    if (this.tool() !== 'turn') return this.gesture.set({ type: 'draw', points: [point] });
    const before = this.turning()();
    const deg = degOf(point);
    const hand = handUnder(poseOf(before), deg, Math.hypot(point.x, point.y) / 100);
    this.turnBegan.emit();
    this.gesture.set({ type: 'turn', hold: { hand, before, lastDeg: deg, turnedDeg: 0 } });
  }

  private move(event: PointerEvent): void {
    const gesture = this.gesture();
    if (!gesture || !event.isPrimary) return;
    const point = this.pointOf(event);
    if (gesture.type === 'draw') return this.gesture.set({ type: 'draw', points: [...gesture.points, point] });
    const hold = moveHold(gesture.hold, degOf(point));
    this.gesture.set({ type: 'turn', hold });
    this.turned()(turnedBy(hold));
  }

  protected letGo(event: PointerEvent): void {
    const gesture = this.gesture();
    if (!gesture || !event.isPrimary) return;
    this.gesture.set(null);
    if (gesture.type === 'turn') return this.turnEnded.emit();
    if (this.tool() === 'gap') return this.gapped.emit(numeralAt(gesture.points[0]!));
    const mark = this.markOf(gesture.points, uuid());
    if (mark) this.marked.emit(mark);
  }

  /** Puts everything back as it was before the gesture. */
  cancel(): void {
    if (this.gesture()?.type === 'turn') this.turnCancelled.emit();
    this.gesture.set(null);
  }

  private markOf(points: readonly DialPoint[], id: string): DialMark | null {
    const [first, last] = [points[0]!, points.at(-1)!];
    switch (this.tool()) {
      case 'ring':
        return { type: 'numeral', numeral: numeralAt(last) };
      case 'ray':
        return { type: 'ray', deg: minuteAt(last, 1) * 6 };
      case 'arc':
        return arcMark(first, last, this.arcBy());
      case 'ink':
        return inkMark(id, points);
      default:
        return null;
    }
  }

  /** The dial under the pointer, by its place among all, whose units points are in from now on; null beside them. */
  private findDial(stage: StageState, event: PointerEvent): number | null {
    const toScreen = this.host.querySelector('svg')?.getScreenCTM();
    if (!toScreen) return null;
    const { a, b, c, d, e, f } = toScreen;
    const dials = stageScene(stage).nodes.filter((node): node is GroupNode => node.type === 'group' && node.role === 'dial');
    const place = dials.findIndex(({ x, y, scale }) => {
      this.toDial = new DOMMatrix([a, b, c, d, e, f]).translate(x, y).scale(scale).inverse();
      const point = this.pointOf(event);
      return Math.hypot(point.x, point.y) <= REACH;
    });
    return place < 0 ? null : place;
  }

  private pointOf(event: PointerEvent): DialPoint {
    return this.toDial!.transformPoint({ x: event.clientX, y: event.clientY });
  }
}
