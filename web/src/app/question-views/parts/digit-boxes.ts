import { ChangeDetectionStrategy, Component, computed, type ElementRef, input, model, output, signal, viewChildren } from '@angular/core';
import { plainDigits } from '@zeitpunkt/core/words/plain-digits';
import { Sign } from '../../ui/sign';
import { ANSWER_WORDS } from '../words';

/** One box for digits, and what stands around it. */
export interface DigitBox {
  /** Its name for those who hear it: "Hour". */
  readonly label: string;
  /** How many digits fit. */
  readonly most: 2 | 3;
  /** Texts before it, each on a plate of its own, and one right behind it. */
  readonly before: readonly string[];
  readonly after: string;
  /** Goes on to the next box by itself: an hour is full after two digits, or after one that no other can follow. */
  readonly isHour: boolean;
  /** The highest number that any clock has in this place, where there is one. */
  readonly highest?: number;
}

/** Boxes for digits with a number pad, so that no keyboard covers the clock; a keyboard works as well. */
@Component({
  selector: 'zp-digit-boxes',
  host: { '[class.long]': 'boxes().length > 2' },
  imports: [Sign],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="display">
      @for (group of groups(); track $index) {
        @for (text of group.before; track $index) {
          <span class="plate">{{ text }}</span>
        }
        <span class="group">
          @if (group.label) {
            <span class="plate">{{ group.label }}</span>
          }
          @for (one of group.boxes; track one.place) {
            <input
              #box
              [attr.aria-label]="one.box.label"
              inputmode="none"
              autocomplete="off"
              [style.width.em]="one.box.most === 3 ? 2.8 : 2.2"
              [value]="values()[one.place] ?? ''"
              [class.here]="here() === one.place"
              (keydown.enter)="entered.emit()"
              (focus)="here.set(one.place)"
              (input)="typed(one.place, $event)"
            />
            @if (one.box.after) {
              <span [class.unit]="one.box.after.length > 1">{{ one.box.after }}</span>
            }
          }
        </span>
      }
    </div>
    <div class="pad" role="group" [attr.aria-label]="words().pad">
      @for (digit of pad; track digit) {
        <button type="button" (click)="press(digit)">{{ digit }}</button>
      }
      <button type="button" class="wide" [attr.aria-label]="words().rubOut" (click)="rubOut()">
        <zp-sign name="rub" /><span>{{ words().rubOut }}</span>
      </button>
    </div>
  `,
  styleUrl: './digit-boxes.scss',
})
export class DigitBoxes {
  protected readonly words = ANSWER_WORDS;
  readonly boxes = input.required<readonly DigitBox[]>();
  readonly values = model.required<readonly string[]>();
  /** Enter in a box sends the answer. */
  readonly entered = output();
  protected readonly pad = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '0'];
  /** Hour and minutes of a time stay on one line, a box with what stands right before it, too. */
  protected readonly groups = computed(() => {
    const groups: { before: readonly string[]; label: string | null; boxes: { box: DigitBox; place: number }[] }[] = [];
    this.boxes().forEach((box, place) => {
      const last = groups.at(-1)?.boxes.at(-1)?.box;
      if (last?.isHour) groups.at(-1)!.boxes.push({ box, place });
      else if (box.isHour) groups.push({ before: box.before, label: null, boxes: [{ box, place }] });
      else groups.push({ before: [], label: box.before[0] ?? null, boxes: [{ box, place }] });
    });
    return groups;
  });
  protected readonly here = signal(0);
  private readonly inputs = viewChildren<ElementRef<HTMLInputElement>>('box');

  protected typed(place: number, event: Event): void {
    const field = event.target as HTMLInputElement;
    this.put(place, plainDigits(field.value).replace(/[^0-9]/g, ''));
    field.value = this.values()[place]!;
  }

  protected press(digit: string): void {
    const place = this.here();
    const before = this.values()[place] ?? '';
    if (before.length < this.boxes()[place]!.most) this.put(place, before + digit);
  }

  /** Takes the last digit of the box that is filled, or of the one before it where that is empty. */
  protected rubOut(): void {
    const values = this.values();
    const place = values[this.here()] ? this.here() : Math.max(0, this.here() - 1);
    this.here.set(place);
    this.values.set(values.map((value, index) => (index === place ? value.slice(0, -1) : value)));
  }

  private put(place: number, digits: string): void {
    const { most, isHour } = this.boxes()[place]!;
    const kept = digits.slice(0, most);
    this.values.set(this.boxes().map((_, index) => (index === place ? kept : (this.values()[index] ?? ''))));
    const isFull = kept.length === most || (isHour && Number(kept) > 2);
    if (isFull && place + 1 < this.boxes().length) this.inputs()[place + 1]?.nativeElement.focus();
  }
}
