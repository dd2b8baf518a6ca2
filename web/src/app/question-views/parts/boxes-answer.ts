import { computed, Directive, input, output, type Signal } from '@angular/core';
import type { ItemView, Response } from '@zeitpunkt/core/question-kinds/registry';
import { givenTo, responseTo, type AnswerView } from '../answer-view';
import { anewWith } from '../../shared/anew-with';
import { ANSWER_WORDS } from '../words';
import type { DigitBox } from './digit-boxes';

/** An answer that is written into boxes of digits: whatever its shape, one digit is enough to send it. */
@Directive()
export abstract class BoxesAnswer<View extends ItemView, Answer extends Record<string, unknown>> implements AnswerView<View> {
  readonly view = input.required<View>();
  readonly given = input.required<Response | null>();
  readonly drafted = output<Response>();
  readonly answered = output<Response>();
  protected readonly values = anewWith<readonly string[]>(
    () => this.view().itemId,
    () => {
      const given = givenTo<Answer>(this.view(), this.given());
      return given ? this.written(given) : this.boxes().map(() => '');
    },
  );
  protected abstract readonly boxes: Signal<readonly DigitBox[]>;
  protected readonly words = ANSWER_WORDS;
  /** A number that no clock has. It is said and may be sent all the same: it tells what is thought of clocks. */
  protected readonly beyond = computed(() => {
    const boxes = this.boxes();
    return this.values().find((value, place) => Number(value) > (boxes[place]?.highest ?? Infinity)) ?? null;
  });
  readonly ready = computed(() => this.values().some((value) => value !== ''));

  /** What stands in each box of an answer. */
  protected abstract written(answer: Answer): readonly string[];
  /** The answer that is written in the boxes. */
  protected abstract answerOf(values: readonly string[]): Answer;

  response(): Response {
    return responseTo(this.view(), this.answerOf(this.values()));
  }

  protected send(): void {
    if (this.ready()) this.answered.emit(this.response());
  }

  protected change(values: readonly string[]): void {
    this.values.set(values);
    this.drafted.emit(this.response());
  }
}
