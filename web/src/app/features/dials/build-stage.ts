import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  computed,
  type ElementRef,
  inject,
  input,
  signal,
  viewChild,
} from '@angular/core';
import {
  describeStage,
  poseOfBuild,
  setTime,
  stageScene,
  type DialMark,
  type GroupNode,
  type SecondOfDay,
  type StageState,
} from '@zeitpunkt/core';
import { v4 as uuid } from 'uuid';
import { handUnder, type Hold, moveHold, turnedBy, type Turning } from '../../ui/dial-gesture';
import { SvgOutlet } from '../../ui/svg-outlet';
import { DialsStore } from './dials-store';
import { arcMark, degOf, inkMark, minuteAt, numeralAt, toggled, toggledGap, type DialPoint, type PointerTool } from './pointer-tools';

/** A gesture under way: hands turned, an arc or a line drawn. */
type Gesture = { readonly type: 'turn'; readonly hold: Hold } | { readonly type: 'draw'; readonly points: readonly DialPoint[] };

/** The stage as it will look, where the dial itself is the tool: turn its hands, point, draw. */
@Component({
  selector: 'zp-build-stage',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<svg
    #svg
    class="scene"
    role="img"
    [attr.aria-label]="label()"
    [class.pen]="tool() !== 'turn'"
    (pointerdown)="take($event)"
    (pointermove)="move($event)"
    (pointerup)="letGo($event)"
    (pointercancel)="cancel()"
  ></svg>`,
  styles: `
    :host {
      display: block;
      aspect-ratio: 16 / 9;
      touch-action: none;
    }
    svg {
      cursor: grab;
    }
    svg.pen {
      cursor: crosshair;
    }
  `,
})
export class BuildStage {
  readonly stage = input.required<StageState>();
  readonly tool = input.required<PointerTool>();
  readonly arcBy = input.required<1 | 5 | 15>();
  protected readonly label = computed(() => describeStage(this.stage()));
  private readonly store = inject(DialsStore);
  private readonly gesture = signal<Gesture | null>(null);
  private readonly svg = viewChild.required<ElementRef<SVGSVGElement>>('svg');
  private outlet: SvgOutlet | null = null;
  /** From the screen to dial units; read once when a gesture begins, so that no frame forces a layout. */
  private toDial = new DOMMatrix();

  private readonly scene = computed(() => {
    const stage = this.stage();
    const draft = this.draft();
    const marked = stage.dial && draft ? { ...stage, dial: { ...stage.dial, marks: [...stage.dial.marks, draft] } } : stage;
    return stageScene(marked);
  });
  private readonly draft = computed<DialMark | null>(() => {
    const gesture = this.gesture();
    return gesture?.type === 'draw' ? this.markOf(gesture.points, 'draft') : null;
  });

  constructor() {
    afterRenderEffect(() => {
      const scene = this.scene();
      this.outlet ??= new SvgOutlet(this.svg().nativeElement);
      this.outlet.draw(scene);
    });
  }

  protected take(event: PointerEvent): void {
    if (!event.isPrimary || event.button !== 0 || !this.findDial()) return;
    const point = this.pointOf(event);
    if (Math.hypot(point.x, point.y) > 130) return;
    event.preventDefault();
    this.svg().nativeElement.setPointerCapture(event.pointerId);
    if (this.tool() !== 'turn') return this.gesture.set({ type: 'draw', points: [point] });
    const { hands, timeSec, freePose } = this.store.build();
    const before: Turning = hands === 'geared' ? { hands, at: timeSec as SecondOfDay } : { hands, pose: freePose };
    const deg = degOf(point);
    const hand = handUnder(poseOfBuild(this.store.build()), deg, Math.hypot(point.x, point.y) / 100);
    this.store.beginStep();
    this.gesture.set({ type: 'turn', hold: { hand, before, lastDeg: deg, turnedDeg: 0 } });
  }

  protected move(event: PointerEvent): void {
    const gesture = this.gesture();
    if (!gesture || !event.isPrimary) return;
    const point = this.pointOf(event);
    if (gesture.type === 'draw') return this.gesture.set({ type: 'draw', points: [...gesture.points, point] });
    const hold = moveHold(gesture.hold, degOf(point));
    this.gesture.set({ type: 'turn', hold });
    const turned = turnedBy(hold);
    this.store.move((began) => (turned.hands === 'geared' ? setTime(turned.at)(began) : { ...began, freePose: turned.pose }));
  }

  protected letGo(event: PointerEvent): void {
    const gesture = this.gesture();
    if (!gesture || !event.isPrimary) return;
    this.gesture.set(null);
    if (gesture.type === 'turn') return this.store.endStep();
    if (this.tool() === 'gap')
      return this.store.change((build) => ({
        ...build,
        layers: { ...build.layers, numeralGaps: toggledGap(build.layers.numeralGaps, numeralAt(gesture.points[0]!)) },
      }));
    const mark = this.markOf(gesture.points, uuid());
    if (mark) this.store.change((build) => ({ ...build, marks: toggled(build.marks, mark).slice(-60) }));
  }

  /** Puts everything back as it was before the gesture. */
  cancel(): void {
    if (this.gesture()?.type === 'turn') this.store.cancelStep();
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

  private findDial(): boolean {
    const group = this.scene().nodes.find((node): node is GroupNode => node.type === 'group' && node.role === 'dial');
    const toScreen = this.svg().nativeElement.getScreenCTM();
    if (!group || !toScreen) return false;
    const { a, b, c, d, e, f } = toScreen;
    this.toDial = new DOMMatrix([a, b, c, d, e, f]).translate(group.x, group.y).scale(group.scale).inverse();
    return true;
  }

  private pointOf(event: PointerEvent): DialPoint {
    return this.toDial.transformPoint({ x: event.clientX, y: event.clientY });
  }
}
