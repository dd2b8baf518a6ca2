import type { InputSignal, OutputEmitterRef } from '@angular/core';
import type { ItemView, Response } from '@zeitpunkt/core';

/** What every kind's view on the pupil's desk offers: the question in, a response out. */
export interface AnswerView<View extends ItemView> {
  readonly view: InputSignal<View>;
  /** The pupil's latest response, to start from when the mind is changed. */
  readonly given: InputSignal<Response | null>;
  readonly answered: OutputEmitterRef<Response>;
}
