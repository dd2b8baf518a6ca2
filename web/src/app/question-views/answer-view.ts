import type { InputSignal, OutputEmitterRef, Signal } from '@angular/core';
import type { ItemView, KindResponse, Response } from '@zeitpunkt/core/question-kinds/registry';
import type { ShapeId } from '@zeitpunkt/core/question-kinds/shapes/shape';

/** The views and the responses of all kinds that are answered in one way. */
export type ViewOfShape<Shape extends ShapeId> = Extract<ItemView, { readonly shape: Shape }>;

/** What every view on the pupil's desk that takes an answer offers: the question in, a response out. */
export interface AnswerView<View extends ItemView> {
  readonly view: InputSignal<View>;
  /** The pupil's latest response, or what was put together of one before the page was loaded again: to start from. */
  readonly given: InputSignal<Response | null>;
  /** What is put together so far, whenever it changes. */
  readonly drafted: OutputEmitterRef<Response>;
  /** Enter in a field gives the answer away, as the press at the foot of the desk does. */
  readonly answered: OutputEmitterRef<Response>;
  /** Whether there is an answer to give. */
  readonly ready: Signal<boolean>;
  /** The answer as it is put together now. */
  response(): Response;
}

/**
 * The response of a view's kind. A shape is shared by kinds whose responses differ by nothing but their kind, which the
 * compiler cannot follow, so the promise is made here, once.
 */
export function responseTo(view: ItemView, answer: Record<string, unknown>): KindResponse {
  return { kind: view.kind, ...answer } as unknown as KindResponse;
}

/** What was given to this very question, as its shape has it; null for nothing, for another kind, and for "not sure". */
export function givenTo<Answer>(view: ItemView, given: Response | null): Answer | null {
  return given?.kind === view.kind ? (given as unknown as Answer) : null;
}
