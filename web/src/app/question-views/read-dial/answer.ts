import {
  ChangeDetectionStrategy,
  Component,
  computed,
  type ElementRef,
  input,
  linkedSignal,
  output,
  signal,
  viewChild,
} from '@angular/core';
import type { Response, ViewOf } from '@zeitpunkt/core';
import { describeDial } from '@zeitpunkt/core/scene/describe-stage';
import { dialScene } from '@zeitpunkt/core/scene/dial-scene';
import { dialOf } from '@zeitpunkt/core/scene/dial-state';
import { SceneView } from '../../ui/scene-view';
import type { AnswerView } from '../answer-view';

type Box = 'hour' | 'minute';

/** Reading a dial: the dial, a display with two empty boxes, and a number pad, so that no keyboard covers the clock. */
@Component({
  selector: 'zp-read-dial-answer',
  imports: [SceneView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <zp-scene class="dial" [scene]="scene()" [label]="label()" />
    <form (submit)="send($event)">
      <div class="display">
        <input
          #hour
          aria-label="Hour"
          inputmode="none"
          maxlength="2"
          autocomplete="off"
          [value]="digits().hour"
          [class.here]="box() === 'hour'"
          (focus)="box.set('hour')"
          (input)="typed('hour', hour.value)"
        />
        <span aria-hidden="true">{{ view().separator }}</span>
        <input
          #minute
          aria-label="Minutes"
          inputmode="none"
          maxlength="2"
          autocomplete="off"
          [value]="digits().minute"
          [class.here]="box() === 'minute'"
          (focus)="box.set('minute')"
          (input)="typed('minute', minute.value)"
        />
      </div>
      <div class="pad" role="group" aria-label="Number pad">
        @for (digit of pad; track digit) {
          <button type="button" (click)="press(digit)">{{ digit }}</button>
        }
        <button type="button" class="wide" (click)="rubOut()">Rub out</button>
      </div>
      <button class="button filled next big" type="submit" [disabled]="!digits().hour && !digits().minute">This is my answer</button>
    </form>
  `,
  styleUrl: './answer.scss',
})
export class ReadDialAnswer implements AnswerView<ViewOf<'read-dial'>> {
  readonly view = input.required<ViewOf<'read-dial'>>();
  readonly given = input.required<Response | null>();
  readonly answered = output<Response>();
  protected readonly pad = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '0'];
  protected readonly box = signal<Box>('hour');
  private readonly hourBox = viewChild.required<ElementRef<HTMLInputElement>>('hour');
  private readonly minuteBox = viewChild.required<ElementRef<HTMLInputElement>>('minute');
  private readonly itemId = computed(() => this.view().itemId);
  protected readonly digits = linkedSignal<string, Record<Box, string>>({
    source: this.itemId,
    computation: () => {
      const given = this.given();
      return given?.kind === 'read-dial' ? { hour: given.hour, minute: given.minute } : { hour: '', minute: '' };
    },
  });
  private readonly dial = computed(() => dialOf(this.view().pose, this.view().layers));
  protected readonly scene = computed(() => dialScene(this.dial()));
  protected readonly label = computed(() => describeDial(this.dial()));

  protected typed(box: Box, text: string): void {
    const kept = text.replace(/[^0-9]/g, '').slice(0, 2);
    (box === 'hour' ? this.hourBox() : this.minuteBox()).nativeElement.value = kept;
    this.digits.update((digits) => ({ ...digits, [box]: kept }));
    // An hour is full after two digits, or after one that no other can follow: on to the minutes.
    if (box === 'hour' && (kept.length === 2 || Number(kept) > 1)) this.minuteBox().nativeElement.focus();
  }

  protected press(digit: string): void {
    const box = this.box();
    if (this.digits()[box].length < 2) this.typed(box, this.digits()[box] + digit);
  }

  protected rubOut(): void {
    const { hour, minute } = this.digits();
    const box: Box = this.box() === 'minute' && minute ? 'minute' : 'hour';
    this.box.set(box);
    this.digits.set({ hour, minute, [box]: this.digits()[box].slice(0, -1) });
  }

  protected send(event: Event): void {
    event.preventDefault();
    this.answered.emit({ kind: 'read-dial', ...this.digits() });
  }
}
