import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import type { Response } from '@zeitpunkt/core';

import { type AnswerView, givenTo, responseTo, startingFrom, type ViewOfShape } from '../answer-view';
import { DigitBoxes, type DigitBox } from '../parts/digit-boxes';
import { SendAnswer } from '../parts/send';

/** A row of times whose gaps are filled: two boxes for each. */
@Component({
  selector: 'zp-times-answer',
  imports: [DigitBoxes, SendAnswer],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <zp-digit-boxes [boxes]="boxes()" [values]="values()" (valuesChange)="change($event)" (entered)="send()" />
    @if (rest().length) {
      <p class="rest">
        @for (time of rest(); track $index) {
          <span>{{ time }}</span>
        }
      </p>
    }
    <zp-send-answer [ready]="values().some(isFilled)" (sent)="send()" />
  `,
  styleUrl: './answer.scss',
})
export class TimesAnswerView implements AnswerView<ViewOfShape<'times'>> {
  readonly view = input.required<ViewOfShape<'times'>>();
  readonly given = input.required<Response | null>();
  readonly drafted = output<Response>();
  readonly answered = output<Response>();
  private readonly itemId = computed(() => this.view().itemId);
  protected readonly values = startingFrom<readonly string[]>(this.itemId, () => {
    const given = givenTo<{ times: readonly { hour: string; minute: string }[] }>(this.view(), this.given());
    return given ? given.times.flatMap(({ hour, minute }) => [hour, minute]) : this.boxes().map(() => '');
  });
  /** Two boxes for each gap, the times that are shown before it on plates. */
  protected readonly boxes = computed((): readonly DigitBox[] => {
    const { row, separator } = this.view();
    const boxes: DigitBox[] = [];
    let before: string[] = [];
    for (const time of row) {
      if (time !== null) {
        before.push(time);
        continue;
      }
      const number = boxes.length / 2 + 1;
      boxes.push({ label: `Gap ${number}, hour`, most: 2, before, after: separator, isHour: true });
      boxes.push({ label: `Gap ${number}, minutes`, most: 2, before: [], after: '', isHour: false });
      before = [];
    }
    return boxes;
  });
  /** What is shown behind the last gap. */
  protected readonly rest = computed(() => this.view().row.slice(this.view().row.lastIndexOf(null) + 1));
  protected readonly isFilled = (value: string): boolean => value !== '';

  protected response(): Response {
    const values = this.values();
    const times = Array.from({ length: values.length / 2 }, (_, gap) => ({ hour: values[2 * gap]!, minute: values[2 * gap + 1]! }));
    return responseTo(this.view(), { times });
  }

  protected send(): void {
    if (this.values().some(this.isFilled)) this.answered.emit(this.response());
  }

  protected change(values: readonly string[]): void {
    this.values.set(values);
    this.drafted.emit(this.response());
  }
}
