import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { ItemView, KindResponse } from '@zeitpunkt/core/question-kinds/registry';
import type { ShapeId } from '@zeitpunkt/core/question-kinds/shapes/shape';
import { numbersText, type NumbersAnswer } from '@zeitpunkt/core/question-kinds/shapes/numbers';
import { orderText, type OrderAnswer } from '@zeitpunkt/core/question-kinds/shapes/order';
import { pairsText, type PairsAnswer } from '@zeitpunkt/core/question-kinds/shapes/pairs';
import { timeText, type TimeAnswer } from '@zeitpunkt/core/question-kinds/shapes/time';
import { timesText, type TimesAnswer } from '@zeitpunkt/core/question-kinds/shapes/times';
import { wordsText, type WordsAnswer } from '@zeitpunkt/core/question-kinds/shapes/words';
import type { LineAnswer } from '@zeitpunkt/core/question-kinds/shapes/line';
import { displayText, displayText24 } from '@zeitpunkt/core/time/display';
import { wrapSecondOfDay } from '@zeitpunkt/core/time/second-of-day';
import type { ViewOfShape } from './answer-view';

type TextShape = Exclude<ShapeId, 'pose' | 'choices'>;

/** What is written of an answer, by its shape. */
const TEXT_OF: Record<TextShape, (answer: never, view: never) => string> = {
  time: (answer: TimeAnswer, view: ViewOfShape<'time'>) =>
    view.asks === 'length' && (answer.hour || answer.minute) ? `${answer.hour || 0} h ${answer.minute || 0} min` : timeText(answer),
  times: (answer: TimesAnswer) => timesText(answer),
  numbers: (answer: NumbersAnswer) => numbersText(answer),
  words: (answer: WordsAnswer) => wordsText(answer),
  pairs: (answer: PairsAnswer) => pairsText(answer),
  order: (answer: OrderAnswer) => orderText(answer),
  line: ({ atSec }: LineAnswer, { line }: ViewOfShape<'line'>) =>
    (line.type === 'day-line' ? displayText24 : displayText)(wrapSecondOfDay(atSec)),
};

/** An answer that is best shown as a text: larger where it is short. */
@Component({
  selector: 'zp-text-response',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: '<span [class.long]="text().length > 8">{{ text() }}</span>',
  styles: `
    :host {
      display: block;
      text-align: center;
      font-weight: 700;
      font-size: 1.6em;
      line-height: 1.3;
      font-variant-numeric: tabular-nums;
      overflow-wrap: anywhere;
    }
    .long {
      font-size: 0.65em;
    }
  `,
})
export class TextResponse {
  readonly response = input.required<KindResponse>();
  readonly view = input.required<ItemView>();
  protected readonly text = computed(() => TEXT_OF[this.view().shape as TextShape](this.response() as never, this.view() as never));
}
