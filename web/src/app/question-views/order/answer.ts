import { CdkDrag, type CdkDragDrop, CdkDropList, moveItemInArray } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import type { Response } from '@zeitpunkt/core';

import { dialLetter } from '@zeitpunkt/core/scene/describe-stage';
import { type AnswerView, givenTo, responseTo, startingFrom, type ViewOfShape } from '../answer-view';
import { ChoiceFace } from '../parts/choice-face';
import { SendAnswer } from '../parts/send';

/** Putting cards in order: by dragging, or with the two buttons that each has. */
@Component({
  selector: 'zp-order-answer',
  imports: [CdkDrag, CdkDropList, ChoiceFace, SendAnswer],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ol cdkDropList (cdkDropListDropped)="drop($event)" [attr.aria-label]="view().stem">
      @for (place of order(); track place) {
        <li cdkDrag cdkDragLockAxis="y">
          <span class="rank" aria-hidden="true">{{ $index + 1 }}</span>
          <span class="letter">{{ letterOf(place) }}</span>
          <zp-choice-face [choice]="view().cards[place]!" [layers]="view().layers" />
          <button type="button" [disabled]="$first" [attr.aria-label]="letterOf(place) + ' earlier'" (click)="move($index, -1)">▲</button>
          <button type="button" [disabled]="$last" [attr.aria-label]="letterOf(place) + ' later'" (click)="move($index, 1)">▼</button>
        </li>
      }
    </ol>
    <p class="heard-only" role="status">{{ told() }}</p>
    <zp-send-answer [ready]="true" (sent)="answered.emit(response())" />
  `,
  styleUrl: './answer.scss',
})
export class OrderAnswerView implements AnswerView<ViewOfShape<'order'>> {
  readonly view = input.required<ViewOfShape<'order'>>();
  readonly given = input.required<Response | null>();
  readonly drafted = output<Response>();
  readonly answered = output<Response>();
  protected readonly letterOf = dialLetter;
  private readonly itemId = computed(() => this.view().itemId);
  protected readonly order = startingFrom<readonly number[]>(this.itemId, () => {
    const given = givenTo<{ order: readonly number[] }>(this.view(), this.given())?.order;
    return given && given.length > 0 ? given : this.view().cards.map((_, place) => place);
  });
  /** The order as it is after a move, for those who hear it. */
  protected readonly told = startingFrom<string>(this.itemId, () => '');

  protected drop({ previousIndex, currentIndex }: CdkDragDrop<unknown>): void {
    const order = [...this.order()];
    moveItemInArray(order, previousIndex, currentIndex);
    this.change(order);
  }

  protected move(index: number, by: 1 | -1): void {
    const order = [...this.order()];
    moveItemInArray(order, index, index + by);
    this.change(order);
  }

  protected response(): Response {
    return responseTo(this.view(), { order: this.order() });
  }

  private change(order: readonly number[]): void {
    this.order.set(order);
    this.told.set(`In order now: ${order.map(dialLetter).join(', ')}.`);
    this.drafted.emit(this.response());
  }
}
