import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { OrderAnswer } from '@zeitpunkt/core/question-kinds/shapes/order';
import type { ViewOfShape } from '../answer-view';
import { ChoiceFace } from '../parts/choice-face';

/** The cards in the order that was given, as pictures. */
@Component({
  selector: 'zp-order-large',
  imports: [ChoiceFace],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ol>
      @for (place of response().order; track place) {
        <li>
          <span>{{ $index + 1 }}</span>
          @if (view().cards[place]; as card) {
            <zp-choice-face [choice]="card" [layers]="view().layers" />
          }
        </li>
      }
    </ol>
  `,
  styles: `
    ol {
      display: flex;
      flex-wrap: wrap;
      gap: 8px 12px;
      justify-content: center;
      margin: 0;
      padding: 0;
      list-style: none;
    }
    li {
      display: flex;
      gap: 4px;
      align-items: center;
      font-weight: 700;
      font-size: 1.15rem;
    }
    span {
      color: var(--soft);
      font-weight: 400;
    }
    zp-choice-face:has(zp-scene) {
      width: 4rem;
    }
  `,
})
export class OrderLarge {
  readonly response = input.required<OrderAnswer>();
  readonly view = input.required<ViewOfShape<'order'>>();
}
