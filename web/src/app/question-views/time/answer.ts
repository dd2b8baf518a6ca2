import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import type { ViewOfShape } from '../answer-view';
import { BoxesAnswer } from '../parts/boxes-answer';
import { DigitBoxes, type DigitBox } from '../parts/digit-boxes';
import { ANSWER_WORDS } from '../words';

/** A time, or a length of time, in two boxes. */
@Component({
  selector: 'zp-time-answer',
  imports: [DigitBoxes],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: '../parts/boxes-answer.html',
  styleUrl: '../column.scss',
})
export class TimeAnswerView extends BoxesAnswer<ViewOfShape<'time'>, { hour: string; minute: string }> {
  protected readonly boxes = computed((): readonly DigitBox[] => {
    const { asks, separator } = this.view();
    const box = { most: 2, before: [] } as const;
    return asks === 'length'
      ? [
          { ...box, label: ANSWER_WORDS().hours, after: 'h', isHour: false },
          { ...box, label: ANSWER_WORDS().minutes, after: 'min', isHour: false },
        ]
      : [
          { ...box, label: ANSWER_WORDS().hour, after: separator, isHour: true, highest: 24 },
          { ...box, label: ANSWER_WORDS().minutes, after: '', isHour: false, highest: 60 },
        ];
  });

  protected written({ hour, minute }: { hour: string; minute: string }): readonly string[] {
    return [hour, minute];
  }

  protected answerOf([hour = '', minute = '']: readonly string[]): { hour: string; minute: string } {
    return { hour, minute };
  }
}
