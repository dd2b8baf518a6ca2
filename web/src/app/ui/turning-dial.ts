import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  computed,
  type ElementRef,
  input,
  model,
  signal,
  viewChild,
} from '@angular/core';
import { type HandId, wrapDeg } from '@zeitpunkt/core/dial/pose';
import { type DialLayers, dialOf } from '@zeitpunkt/core/scene/dial-state';
import { describeHand, describeMinuteHand } from '@zeitpunkt/core/dial/describe-pose';
import { dialScene } from '@zeitpunkt/core/scene/dial-scene';
import { WORD_PACKS } from '@zeitpunkt/core/words/registry';
import { bestWording } from '@zeitpunkt/core/words/say';
import { handUnder, type Hold, moveHold, poseOf, turn, turnedBy, type Turning } from './dial-gesture';
import { HAND_WORDS } from './hand-words';
import { SvgOutlet } from './svg-outlet';
import { deskTongue } from '../shared/words/spoken';

/** Keys that turn a hand, in degrees for the minute hand and for the hour hand. */
const KEYS: Record<string, { readonly minute: number; readonly hour: number }> = {
  ArrowRight: { minute: 6, hour: 2.5 },
  ArrowUp: { minute: 6, hour: 2.5 },
  ArrowLeft: { minute: -6, hour: -2.5 },
  ArrowDown: { minute: -6, hour: -2.5 },
  PageUp: { minute: 30, hour: 30 },
  PageDown: { minute: -30, hour: -30 },
};

/** A dial whose hands are turned by dragging, by touch or with the arrow keys. Each hand is a slider of its own. */
@Component({
  selector: 'zp-turning-dial',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      #svg
      class="scene"
      aria-hidden="true"
      (pointerdown)="take($event)"
      (pointermove)="move($event)"
      (pointerup)="letGo($event)"
      (pointercancel)="putBack()"
    ></svg>
    @for (hand of hands; track hand) {
      <div
        class="slider"
        role="slider"
        tabindex="0"
        [attr.aria-label]="words().name[hand]"
        [attr.aria-valuemin]="0"
        [attr.aria-valuemax]="hand === 'hour' ? 11 : 59"
        [attr.aria-valuenow]="valueNow(hand)"
        [attr.aria-valuetext]="valueText(hand)"
        (focus)="focused.set(hand)"
        (blur)="focused.set(null)"
        (keydown)="key($event, hand)"
      ></div>
    }
  `,
  styles: `
    :host {
      display: block;
      position: relative;
      touch-action: none;
    }
    /* As large as the room that the dial is given, whatever its shape: the drawing itself asks for none. */
    svg {
      position: absolute;
      inset: 0;
      cursor: grab;
    }
    svg:active {
      cursor: grabbing;
    }
    .slider {
      position: absolute;
      inset: 0;
      pointer-events: none;
      border-radius: 12px;
    }
    .slider:focus-visible {
      outline: 3px solid var(--focus);
      outline-offset: 2px;
    }
  `,
})
export class TurningDial {
  readonly turning = model.required<Turning>();
  readonly layers = input.required<DialLayers>();
  /** What a hand says to those who hear it: the time, or only where it points, where the time is what is asked. */
  readonly speaks = input<'time' | 'places'>('time');
  protected readonly hands = ['hour', 'minute'] as const;
  protected readonly words = HAND_WORDS;
  protected readonly focused = signal<HandId | null>(null);
  private readonly hold = signal<Hold | null>(null);
  private readonly svg = viewChild.required<ElementRef<SVGSVGElement>>('svg');
  private outlet: SvgOutlet | null = null;

  private readonly scene = computed(() => {
    const hand = this.hold()?.hand ?? this.focused();
    return dialScene(dialOf(poseOf(this.turning()), this.layers(), hand ? [{ type: 'hand', hand }] : []));
  });

  constructor() {
    afterRenderEffect(() => {
      const scene = this.scene();
      this.outlet ??= new SvgOutlet(this.svg().nativeElement);
      this.outlet.draw(scene);
    });
  }

  protected take(event: PointerEvent): void {
    if (!event.isPrimary || event.button !== 0) return;
    const { deg, reach } = this.place(event);
    const before = this.turning();
    this.hold.set({ hand: handUnder(poseOf(before), deg, reach), before, lastDeg: deg, turnedDeg: 0 });
    this.svg().nativeElement.setPointerCapture(event.pointerId);
    event.preventDefault();
  }

  protected move(event: PointerEvent): void {
    const hold = this.hold();
    if (!hold || !event.isPrimary) return;
    const moved = moveHold(hold, this.place(event).deg);
    this.hold.set(moved);
    this.turning.set(turnedBy(moved));
  }

  protected letGo(event: PointerEvent): void {
    if (event.isPrimary) this.hold.set(null);
  }

  protected putBack(): void {
    const hold = this.hold();
    if (hold) this.turning.set(hold.before);
    this.hold.set(null);
  }

  protected key(event: KeyboardEvent, hand: HandId): void {
    if (event.key === 'Escape') return this.putBack();
    const step = KEYS[event.key];
    if (!step) return;
    event.preventDefault();
    const turning = this.turning();
    // The hour hand of a geared dial goes from hour to hour by key; its minutes belong to the minute hand.
    const byDeg = hand === 'hour' && turning.hands === 'geared' ? Math.sign(step.hour) * 30 : step[hand];
    this.turning.set(turn(turning, hand, byDeg, hand === 'minute' ? 1 : turning.hands === 'geared' ? 1 : 5));
  }

  protected valueNow(hand: HandId): number {
    const pose = poseOf(this.turning());
    return hand === 'hour' ? Math.floor(wrapDeg(pose.hourDeg) / 30) : Math.round(pose.minuteDeg / 6) % 60;
  }

  protected valueText(hand: HandId): string {
    const turning = this.turning();
    if (turning.hands === 'geared' && this.speaks() === 'time') return bestWording(turning.at, WORD_PACKS['en-GB']);
    const { hourDeg, minuteDeg } = poseOf(turning);
    const deg = hand === 'hour' ? hourDeg : minuteDeg;
    return hand === 'hour' ? describeHand(deg, deskTongue()) : describeMinuteHand(deg, deskTongue());
  }

  private place(event: PointerEvent): { deg: number; reach: number } {
    const box = this.svg().nativeElement.getBoundingClientRect();
    const x = event.clientX - box.left - box.width / 2;
    const y = event.clientY - box.top - box.height / 2;
    return { deg: wrapDeg((Math.atan2(x, -y) * 180) / Math.PI), reach: Math.hypot(x, y) / (Math.min(box.width, box.height) / 2) };
  }
}
