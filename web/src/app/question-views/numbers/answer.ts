import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import type { ViewOfShape } from '../answer-view';
import { BoxesAnswer } from '../parts/boxes-answer';
import { DigitBoxes, type DigitBox } from '../parts/digit-boxes';
import { ANSWER_WORDS } from '../words';

/** A number for each place that is asked for. */
@Component({
  selector: 'zp-numbers-answer',
  imports: [DigitBoxes],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: '../parts/boxes-answer.html',
  styleUrl: '../column.scss',
})
export class NumbersAnswerView extends BoxesAnswer<ViewOfShape<'numbers'>, { values: readonly string[] }> {
  protected readonly boxes = computed((): readonly DigitBox[] =>
    this.view().labels.map((label, place, { length }) => ({
      label: label ? ANSWER_WORDS().missing(label) : this.view().unit || ANSWER_WORDS().number,
      most: 3,
      before: label && length > 1 ? [label] : [],
      after: place === length - 1 ? this.view().unit : '',
      isHour: false,
      // On a face there are the hours, and round it the minutes.
      ...(label && { highest: 60 }),
    })),
  );

  protected written({ values }: { values: readonly string[] }): readonly string[] {
    return values;
  }

  protected answerOf(values: readonly string[]): { values: readonly string[] } {
    return { values };
  }
}
