import { chooseAll } from './choose-all/choose-all.js';
import type { QuestionKind } from './question-kind.js';
import { readDial } from './read-dial/read-dial.js';
import { setDial } from './set-dial/set-dial.js';

/** Every question kind by its id. Ids stand in saved lessons and responses: add, never rename or reuse. */
export const QUESTION_KINDS = { 'read-dial': readDial, 'set-dial': setDial, 'choose-all': chooseAll } as const;

type Kinds = typeof QUESTION_KINDS;
export type QuestionKindId = keyof Kinds;
export const QUESTION_KIND_IDS = Object.keys(QUESTION_KINDS) as QuestionKindId[];

/** Items, responses and views by kind: all unions are derived from the registry. */
export type ItemOf<Id extends QuestionKindId> = Parameters<Kinds[Id]['keyOf']>[0];
export type ResponseOf<Id extends QuestionKindId> = ReturnType<Kinds[Id]['keyOf']>;
export type ViewOf<Id extends QuestionKindId> = ReturnType<Kinds[Id]['viewOf']>;
export type Item = { [Id in QuestionKindId]: ItemOf<Id> }[QuestionKindId];
export type Response = { [Id in QuestionKindId]: ResponseOf<Id> }[QuestionKindId];
export type ItemView = { [Id in QuestionKindId]: ViewOf<Id> }[QuestionKindId];

/**
 * One kind as a record over the unions. The compiler cannot follow that an item finds its own kind by its `kind`, so the
 * promise is made here, once.
 */
type AnyKind = QuestionKind<Item, Response, ItemView>;

/** The kind of an item, a response or a view. */
export function kindOf(of: { readonly kind: QuestionKindId }): AnyKind {
  return QUESTION_KINDS[of.kind] as unknown as AnyKind;
}
