import { CdkDrag, type CdkDragDrop, CdkDropList, CdkDropListGroup } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import type { Response } from '@zeitpunkt/core/question-kinds/registry';

import { dialLetter } from '@zeitpunkt/core/scene/describe-stage';
import { type AnswerView, givenTo, responseTo, type ViewOfShape } from '../answer-view';
import { anewWith } from '../../shared/anew-with';
import { ChoiceFace } from '../parts/choice-face';
import { ANSWER_WORDS } from '../words';

type Pairs = readonly (number | null)[];

/**
 * Putting cards together: a partner is dragged to its card, or a card is pressed and then its partner, which is all that a
 * keyboard needs.
 */
@Component({
  selector: 'zp-pairs-answer',
  imports: [CdkDrag, CdkDropList, CdkDropListGroup, ChoiceFace],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="pairs" cdkDropListGroup>
      <ul class="cards" [attr.aria-label]="words().cards">
        @for (card of view().cards; track $index) {
          <li cdkDropList [cdkDropListData]="$index" [cdkDropListSortingDisabled]="true" (cdkDropListDropped)="drop($event)">
            <button type="button" [attr.aria-pressed]="here() === $index" (click)="here.set($index)">
              <span class="number">{{ letterOf($index) }}</span>
              @if (!isLetter(card, $index)) {
                <zp-choice-face [choice]="card" [layers]="view().layers" />
              }
              <span class="slot" [class.filled]="pairs()[$index] !== null">
                @if (partnerOf($index); as partner) {
                  <span class="heard-only">{{ words().with(partner.number) }}</span>
                  <zp-choice-face aria-hidden="true" [choice]="partner.choice" [layers]="view().layers" />
                } @else {
                  <span aria-hidden="true">?</span>
                }
              </span>
            </button>
          </li>
        }
      </ul>
      <ul
        class="partners"
        [attr.aria-label]="words().partners"
        cdkDropList
        [cdkDropListData]="-1"
        [cdkDropListSortingDisabled]="true"
        (cdkDropListDropped)="drop($event)"
      >
        @for (partner of view().partners; track $index) {
          <li cdkDrag [cdkDragData]="$index" [class.used]="pairs().includes($index)">
            <button type="button" (click)="take($index)">
              <span class="heard-only">{{ words().partnerFor($index + 1, letterOf(here())) }}</span>
              <span class="number" aria-hidden="true">{{ $index + 1 }}</span>
              <zp-choice-face [choice]="partner" [layers]="view().layers" />
            </button>
          </li>
        }
      </ul>
    </div>
    <p class="heard-only" role="status">{{ told() }}</p>
  `,
  styleUrl: './answer.scss',
})
export class PairsAnswerView implements AnswerView<ViewOfShape<'pairs'>> {
  protected readonly words = ANSWER_WORDS;
  readonly view = input.required<ViewOfShape<'pairs'>>();
  readonly given = input.required<Response | null>();
  readonly drafted = output<Response>();
  readonly answered = output<Response>();
  protected readonly letterOf = dialLetter;
  /** A card that is a letter of the picture needs no face beside its own. */
  protected readonly isLetter = (card: object, place: number): boolean => 'text' in card && card.text === dialLetter(place);
  protected readonly told = signal('');
  private readonly itemId = computed(() => this.view().itemId);
  protected readonly pairs = anewWith<Pairs>(
    this.itemId,
    () => givenTo<{ pairs: Pairs }>(this.view(), this.given())?.pairs ?? this.view().cards.map(() => null),
  );
  /** The card whose partner is looked for. */
  protected readonly here = anewWith<number>(this.itemId, () => 0);
  readonly ready = computed(() => this.pairs().some((one) => one !== null));

  protected partnerOf(card: number) {
    const place = this.pairs()[card] ?? null;
    return place === null ? null : { number: place + 1, choice: this.view().partners[place]! };
  }

  /** The partner goes to the card that is looked at, and the next card without one is looked at. */
  protected take(partner: number): void {
    this.put(this.here(), partner);
    const next = this.pairs().findIndex((one) => one === null);
    if (next >= 0) this.here.set(next);
  }

  protected drop({ container, item }: CdkDragDrop<number>): void {
    const partner = item.data as number;
    if (container.data >= 0) this.put(container.data, partner);
    else this.change(this.pairs().map((one) => (one === partner ? null : one)));
  }

  response(): Response {
    return responseTo(this.view(), { pairs: this.pairs() });
  }

  /** A partner has one card: where it was before is free again. */
  private put(card: number, partner: number): void {
    this.change(this.pairs().map((one, place) => (place === card ? partner : one === partner ? null : one)));
    this.told.set(this.words().together(dialLetter(card), partner + 1));
  }

  private change(pairs: Pairs): void {
    this.pairs.set(pairs);
    this.drafted.emit(this.response());
  }
}
