import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import type { Response } from '@zeitpunkt/core';

import { type AnswerView, givenTo, responseTo, startingFrom, type ViewOfShape } from '../answer-view';
import { DigitBoxes, type DigitBox } from '../parts/digit-boxes';
import { SendAnswer } from '../parts/send';

/** A time, or a length of time, in two boxes. */
@Component({
  selector: 'zp-time-answer',
  imports: [DigitBoxes, SendAnswer],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <zp-digit-boxes [boxes]="boxes()" [values]="values()" (valuesChange)="change($event)" (entered)="send()" />
    <zp-send-answer [ready]="values().some(isFilled)" (sent)="send()" />
  `,
  styleUrl: '../column.scss',
})
export class TimeAnswerView implements AnswerView<ViewOfShape<'time'>> {
  readonly view = input.required<ViewOfShape<'time'>>();
  readonly given = input.required<Response | null>();
  readonly drafted = output<Response>();
  readonly answered = output<Response>();
  private readonly itemId = computed(() => this.view().itemId);
  protected readonly values = startingFrom<readonly string[]>(this.itemId, () => {
    const given = givenTo<{ hour: string; minute: string }>(this.view(), this.given());
    return given ? [given.hour, given.minute] : ['', ''];
  });
  protected readonly boxes = computed((): readonly DigitBox[] => {
    const { asks, separator } = this.view();
    const box = { most: 2, before: [] } as const;
    return asks === 'length'
      ? [
          { ...box, label: 'Hours', after: 'h', isHour: false },
          { ...box, label: 'Minutes', after: 'min', isHour: false },
        ]
      : [
          { ...box, label: 'Hour', after: separator, isHour: true },
          { ...box, label: 'Minutes', after: '', isHour: false },
        ];
  });
  protected readonly isFilled = (value: string): boolean => value !== '';

  protected response(): Response {
    const [hour = '', minute = ''] = this.values();
    return responseTo(this.view(), { hour, minute });
  }

  protected send(): void {
    if (this.values().some(this.isFilled)) this.answered.emit(this.response());
  }

  protected change(values: readonly string[]): void {
    this.values.set(values);
    this.drafted.emit(this.response());
  }
}
