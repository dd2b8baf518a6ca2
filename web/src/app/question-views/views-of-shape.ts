import type { Type } from '@angular/core';

/** How questions of one shape are answered and responses to them shown. */
export interface ShapeViews {
  /** An {@link AnswerView}. */
  readonly answer: Type<unknown>;
  /** Shows a response as it was given, from the inputs `response` and `view`. */
  readonly response: Type<unknown>;
  /** The same in pictures, where there is room; without it the other one is shown. */
  readonly large?: Type<unknown>;
  /** Whether what came over the line is a view of this shape. */
  readonly isView: (data: unknown) => boolean;
}
