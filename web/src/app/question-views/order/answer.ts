import { CdkDrag, type CdkDragDrop, CdkDragHandle, CdkDropList, moveItemInArray } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import type { Response } from '@zeitpunkt/core/question-kinds/registry';

import { dialLetter } from '@zeitpunkt/core/scene/describe-stage';
import { type AnswerView, givenTo, responseTo, type ViewOfShape } from '../answer-view';
import { anewWith } from '../../shared/anew-with';
import { ChoiceFace } from '../parts/choice-face';
import { Sign } from '../../ui/sign';
import { ANSWER_WORDS } from '../words';

const MOST_IN_A_COLUMN = 4;

/** Putting cards in order: by dragging, or with the two buttons that each has. */
@Component({
  selector: 'zp-order-answer',
  imports: [CdkDrag, CdkDragHandle, CdkDropList, ChoiceFace, Sign],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ol
      cdkDropList
      [cdkDropListOrientation]="many() ? 'mixed' : 'vertical'"
      [class.many]="many()"
      [attr.aria-label]="view().stem"
      (cdkDropListDropped)="drop($event)"
    >
      @for (place of order(); track place) {
        <li cdkDrag [cdkDragLockAxis]="many() ? null : 'y'">
          <span class="grip" cdkDragHandle aria-hidden="true"><zp-sign name="grip" /></span>
          <span class="rank" aria-hidden="true">{{ $index + 1 }}</span>
          <span class="letter">{{ letterOf(place) }}</span>
          <zp-choice-face [choice]="view().cards[place]!" [layers]="view().layers" />
          <button type="button" [disabled]="$first" [attr.aria-label]="words().earlier(letterOf(place))" (click)="move($index, -1)">
            <zp-sign name="earlier" />
          </button>
          <button type="button" [disabled]="$last" [attr.aria-label]="words().later(letterOf(place))" (click)="move($index, 1)">
            <zp-sign name="later" />
          </button>
        </li>
      }
    </ol>
    @if (!ready()) {
      <button type="button" class="as-is" (click)="change(order())"><zp-sign name="right" />{{ words().isInOrder }}</button>
    }
    <p class="heard-only" role="status">{{ told() }}</p>
  `,
  styleUrl: './answer.scss',
})
export class OrderAnswerView implements AnswerView<ViewOfShape<'order'>> {
  protected readonly words = ANSWER_WORDS;
  readonly view = input.required<ViewOfShape<'order'>>();
  readonly given = input.required<Response | null>();
  readonly drafted = output<Response>();
  readonly answered = output<Response>();
  protected readonly letterOf = dialLetter;
  /** More than stand below each other on a phone that lies: there they stand in two columns. */
  protected readonly many = computed(() => this.view().cards.length > MOST_IN_A_COLUMN);
  private readonly itemId = computed(() => this.view().itemId);
  private readonly before = computed(() => {
    const given = givenTo<{ order: readonly number[] }>(this.view(), this.given())?.order;
    return given && given.length > 0 ? given : null;
  });
  protected readonly order = anewWith<readonly number[]>(this.itemId, () => this.before() ?? this.view().cards.map((_, place) => place));
  /** Whether something was put in another place, or the order as it stands was said to be right. */
  readonly ready = anewWith<boolean>(this.itemId, () => this.before() !== null);
  /** The order as it is after a move, for those who hear it. */
  protected readonly told = anewWith<string>(this.itemId, () => '');

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

  response(): Response {
    return responseTo(this.view(), { order: this.order() });
  }

  protected change(order: readonly number[]): void {
    this.order.set(order);
    this.ready.set(true);
    this.told.set(this.words().inOrder(order.map(dialLetter).join(', ')));
    this.drafted.emit(this.response());
  }
}
