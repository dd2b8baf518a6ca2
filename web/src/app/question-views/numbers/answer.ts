import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import type { Response } from '@zeitpunkt/core';

import { type AnswerView, givenTo, responseTo, startingFrom, type ViewOfShape } from '../answer-view';
import { DigitBoxes, type DigitBox } from '../parts/digit-boxes';
import { SendAnswer } from '../parts/send';

/** A number for each place that is asked for. */
@Component({
  selector: 'zp-numbers-answer',
  imports: [DigitBoxes, SendAnswer],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <zp-digit-boxes [boxes]="boxes()" [values]="values()" (valuesChange)="change($event)" (entered)="send()" />
    <zp-send-answer [ready]="values().some(isFilled)" (sent)="send()" />
  `,
  styleUrl: '../column.scss',
})
export class NumbersAnswerView implements AnswerView<ViewOfShape<'numbers'>> {
  readonly view = input.required<ViewOfShape<'numbers'>>();
  readonly given = input.required<Response | null>();
  readonly drafted = output<Response>();
  readonly answered = output<Response>();
  private readonly itemId = computed(() => this.view().itemId);
  protected readonly values = startingFrom<readonly string[]>(
    this.itemId,
    () => givenTo<{ values: readonly string[] }>(this.view(), this.given())?.values ?? this.view().labels.map(() => ''),
  );
  protected readonly boxes = computed((): readonly DigitBox[] =>
    this.view().labels.map((label, place, { length }) => ({
      label: label || this.view().unit || 'Number',
      most: 3,
      before: label && length > 1 ? [label] : [],
      after: place === length - 1 ? this.view().unit : '',
      isHour: false,
    })),
  );
  protected readonly isFilled = (value: string): boolean => value !== '';

  protected response(): Response {
    return responseTo(this.view(), { values: this.values() });
  }

  protected send(): void {
    if (this.values().some(this.isFilled)) this.answered.emit(this.response());
  }

  protected change(values: readonly string[]): void {
    this.values.set(values);
    this.drafted.emit(this.response());
  }
}
