import { Type } from '@sinclair/typebox';
import { ItemSchema } from './question-kinds/registry.js';
import { type Data, Exact } from './shared.js';

/** What a package of questions holds: nothing is changed by looking. */
export const QuestionsFound = Exact({
  items: Type.Array(ItemSchema),
  taken: Type.Array(
    Exact({
      file: Type.String(),
      kind: Type.String(),
      stem: Type.String(),
      /** It went out from here and comes back as it was. */
      whole: Type.Boolean(),
    }),
  ),
  left: Type.Array(Exact({ file: Type.String(), why: Type.String() })),
});
export type QuestionsFound = Data<typeof QuestionsFound>;
