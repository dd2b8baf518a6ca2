import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { PairsAnswer } from '@zeitpunkt/core/question-kinds/shapes/pairs';
import type { ViewOfShape } from '../answer-view';
import { ChoiceFace } from '../parts/choice-face';

/** What was put together, card by card as pictures. */
@Component({
  selector: 'zp-pairs-large',
  imports: [ChoiceFace],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ul>
      @for (row of rows(); track $index) {
        <li>
          <zp-choice-face [choice]="row.card" [layers]="view().layers" />
          <span aria-hidden="true">–</span>
          @if (row.partner; as partner) {
            <zp-choice-face [choice]="partner" [layers]="view().layers" />
          } @else {
            <span>?</span>
          }
        </li>
      }
    </ul>
  `,
  styles: `
    ul {
      display: grid;
      gap: 6px;
      margin: 0;
      padding: 0;
      list-style: none;
    }
    li {
      display: grid;
      grid-template-columns: minmax(0, 1fr) auto minmax(0, 1fr);
      gap: 8px;
      align-items: center;
      justify-items: center;
      font-weight: 700;
      font-size: 1.15rem;
      line-height: 1.2;
    }
    zp-choice-face {
      width: 100%;
      max-width: 5rem;
      text-align: center;
    }
  `,
})
export class PairsLarge {
  readonly response = input.required<PairsAnswer>();
  readonly view = input.required<ViewOfShape<'pairs'>>();
  protected readonly rows = computed(() => {
    const { cards, partners } = this.view();
    return cards.map((card, place) => ({ card, partner: partners[this.response().pairs[place] ?? -1] ?? null }));
  });
}
