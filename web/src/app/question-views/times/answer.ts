import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import type { ViewOfShape } from '../answer-view';
import { BoxesAnswer } from '../parts/boxes-answer';
import { DigitBoxes, type DigitBox } from '../parts/digit-boxes';
import { ANSWER_WORDS } from '../words';

interface TypedTime {
  readonly hour: string;
  readonly minute: string;
}

/** A row of times whose gaps are filled: two boxes for each. */
@Component({
  selector: 'zp-times-answer',
  imports: [DigitBoxes],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <zp-digit-boxes [boxes]="boxes()" [values]="values()" (valuesChange)="change($event)" (entered)="send()" />
    @if (beyond(); as number) {
      <p role="status">{{ words().beyond(number) }}</p>
    }
    @if (rest().length) {
      <p class="rest">
        @for (time of rest(); track $index) {
          <span>{{ time }}</span>
        }
      </p>
    }
  `,
  styleUrl: './answer.scss',
})
export class TimesAnswerView extends BoxesAnswer<ViewOfShape<'times'>, { times: readonly TypedTime[] }> {
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
      boxes.push({ label: ANSWER_WORDS().gapHour(number), most: 2, before, after: separator, isHour: true, highest: 24 });
      boxes.push({ label: ANSWER_WORDS().gapMinutes(number), most: 2, before: [], after: '', isHour: false, highest: 60 });
      before = [];
    }
    return boxes;
  });
  /** What is shown behind the last gap. */
  protected readonly rest = computed(() => this.view().row.slice(this.view().row.lastIndexOf(null) + 1));

  protected written({ times }: { times: readonly TypedTime[] }): readonly string[] {
    return times.flatMap(({ hour, minute }) => [hour, minute]);
  }

  protected answerOf(values: readonly string[]): { times: readonly TypedTime[] } {
    return { times: Array.from({ length: values.length / 2 }, (_, gap) => ({ hour: values[2 * gap]!, minute: values[2 * gap + 1]! })) };
  }
}
