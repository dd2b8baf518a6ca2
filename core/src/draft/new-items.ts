import type { Item, ItemOf, QuestionKindId } from '../question-kinds/registry.js';
import type { SecondOfDay } from '../time/second-of-day.js';

/** A question without its id. */
export type NewItem = { [Id in QuestionKindId]: Omit<ItemOf<Id>, 'id'> }[QuestionKindId];

/** A dial to be read. */
export const toRead = (timeSec: SecondOfDay) => ({ id: '', kind: 'read-dial', timeSec }) as const;

/** A dial to be set. */
export const toSetFrom = (from: 'words' | 'display', hands: 'geared' | 'free') => (timeSec: SecondOfDay) => ({ id: '', kind: 'set-dial', timeSec, from, hands }) as const; // prettier-ignore

/** A question that was made, to be asked under an id of its own. */
export function withoutId({ id: _id, ...item }: Item): NewItem {
  return item;
}
