import { ChangeDetectionStrategy, Component, computed, type ElementRef, input, output, viewChild } from '@angular/core';
import type { Response } from '@zeitpunkt/core/question-kinds/registry';

import { displayText } from '@zeitpunkt/core/time/display';
import { minuteOfHour, toSecondOfDay, wrapSecondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { heldUpright } from '../../ui/held-upright';
import { SceneView } from '../../ui/scene-view';
import { type AnswerView, givenTo, responseTo, type ViewOfShape } from '../answer-view';
import { anewWith } from '../../shared/anew-with';
import { Sign } from '../../ui/sign';
import { ANSWER_WORDS } from '../words';
import { markedLine, placeOnLine } from './marked-line';

const NOON_SEC = 43_200;

/** Keys that move the marker, in steps. */
const KEYS: Readonly<Record<string, number>> = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1, PageUp: 5, PageDown: -5 };

/** Putting a marker on a line: a tap or a finger on the line itself, the two presses below it, or the arrow keys. */
@Component({
  selector: 'zp-line-answer',
  imports: [SceneView, Sign],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div
      #line
      class="line"
      role="slider"
      tabindex="0"
      [attr.aria-label]="words().marker"
      [attr.aria-valuemin]="view().fromSec"
      [attr.aria-valuemax]="view().toSec"
      [attr.aria-valuenow]="atSec()"
      [attr.aria-valuetext]="spoken()"
      (pointerdown)="take($event)"
      (pointermove)="drag($event)"
      (keydown)="key($event)"
    >
      <zp-scene aria-hidden="true" [scene]="scene()" label="" />
    </div>
    <div class="steps">
      <button type="button" [attr.aria-label]="words().markerBack" (click)="step(-1)"><zp-sign name="back" /></button>
      <button type="button" [attr.aria-label]="words().markerOn" (click)="step(1)"><zp-sign name="on" /></button>
    </div>
  `,
  styleUrl: './answer.scss',
})
export class LineAnswerView implements AnswerView<ViewOfShape<'line'>> {
  protected readonly words = ANSWER_WORDS;
  readonly view = input.required<ViewOfShape<'line'>>();
  readonly given = input.required<Response | null>();
  readonly drafted = output<Response>();
  readonly answered = output<Response>();
  private readonly itemId = computed(() => this.view().itemId);
  protected readonly tall = heldUpright();
  private readonly before = computed(() => givenTo<{ atSec: number }>(this.view(), this.given())?.atSec ?? null);
  protected readonly atSec = anewWith<number>(this.itemId, () => this.before() ?? this.view().fromSec);
  readonly ready = anewWith<boolean>(this.itemId, () => this.before() !== null);
  protected readonly scene = computed(() => markedLine(this.view(), this.atSec(), this.tall()));
  private readonly line = viewChild.required<ElementRef<HTMLElement>>('line');
  /** Where the marker is, by what is written on the line. */
  protected readonly spoken = computed(() => {
    const { line, fromSec } = this.view();
    const atSec = this.atSec();
    if (line.type === 'hour-line') return this.words().fromLeft((atSec - fromSec) / 60);
    if (atSec % NOON_SEC === 0) return atSec === NOON_SEC ? this.words().noon : this.words().midnight;
    const at = wrapSecondOfDay(atSec);
    const hour = displayText(toSecondOfDay(at - (at % 3600))).split(':')[0]!;
    return this.words().nearHour(minuteOfHour(at) === 0, hour, atSec < NOON_SEC);
  });

  protected take(event: PointerEvent): void {
    if (!event.isPrimary || event.button !== 0) return;
    event.preventDefault();
    const line = this.line().nativeElement;
    line.setPointerCapture(event.pointerId);
    line.focus({ preventScroll: true });
    this.putAt(event);
  }

  protected drag(event: PointerEvent): void {
    if (this.line().nativeElement.hasPointerCapture(event.pointerId)) this.putAt(event);
  }

  protected key(event: KeyboardEvent): void {
    const { key } = event;
    const steps = KEYS[key];
    if (steps === undefined && key !== 'Home' && key !== 'End') return;
    event.preventDefault();
    if (steps === undefined) this.put(key === 'Home' ? this.view().fromSec : this.view().toSec);
    else this.step(steps);
  }

  protected step(by: number): void {
    const { fromSec, toSec, stepSec } = this.view();
    this.put(Math.max(fromSec, Math.min(toSec, this.atSec() + by * stepSec)));
  }

  private putAt({ clientX }: PointerEvent): void {
    const { left, width } = this.line().nativeElement.querySelector('svg')!.getBoundingClientRect();
    const scene = this.scene();
    this.put(placeOnLine(this.view(), ((clientX - left) / width) * scene.width, scene.width));
  }

  private put(atSec: number): void {
    this.atSec.set(atSec);
    this.ready.set(true);
    this.drafted.emit(this.response());
  }

  response(): Response {
    return responseTo(this.view(), { atSec: this.atSec() });
  }
}
