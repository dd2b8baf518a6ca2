import type { DeskView } from '@zeitpunkt/contract';
import { dialLetter } from '@zeitpunkt/core/scene/describe-stage';
import { sentences } from './sentences';

type Question = NonNullable<DeskView['question']>;

const textsOf = (choices: readonly object[]) =>
  choices.flatMap((choice, place) => ('text' in choice ? [`${dialLetter(place)}: ${String(choice.text)}`] : []));

/** All of a question that a child who does not read yet needs to hear: its words, its choices, cards and tiles; or what is right. */
export function heardOf({ view, reveal }: Question, wentBy: string): string {
  // The letters of cards say nothing to whoever only hears them.
  const isListed = view.shape === 'pairs' || view.shape === 'order';
  if (reveal) return sentences([reveal.own?.sayToPupil ?? wentBy, ...(isListed ? [] : reveal.stage.board)]);
  const parts = [
    ...('choices' in view ? textsOf(view.choices) : []),
    ...('cards' in view ? textsOf(view.cards) : []),
    ...('partners' in view ? view.partners.flatMap((one) => ('text' in one ? [one.text] : [])) : []),
    ...('tiles' in view ? [view.tiles.join(', ')] : []),
  ];
  return sentences([view.stem, ...view.picture.lines, ...parts]);
}
