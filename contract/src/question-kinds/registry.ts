import type { ItemOf, QuestionKindId, ResponseOf, ViewOf } from '@zeitpunkt/core';
import { type Data, TaggedUnion } from '../shared.js';
import { chooseAllSchemas } from './choose-all.js';
import type { KindSchemas } from './kind-schemas.js';
import { readDialSchemas } from './read-dial.js';
import { setDialSchemas } from './set-dial.js';

/** The schemas of every question kind; one that is missing does not compile. */
export const KIND_SCHEMAS = {
  'read-dial': readDialSchemas,
  'set-dial': setDialSchemas,
  'choose-all': chooseAllSchemas,
} as const satisfies Record<QuestionKindId, KindSchemas>;

type Schemas = typeof KIND_SCHEMAS;
/** The kinds whose schemas and types in the core are not the same. */
type Drifted = {
  [Id in QuestionKindId]: Same<Data<Schemas[Id]['item']>, ItemOf<Id>> extends true
    ? Same<Data<Schemas[Id]['response']>, ResponseOf<Id>> extends true
      ? Same<Data<Schemas[Id]['view']>, ViewOf<Id>> extends true
        ? never
        : `the view of ${Id}`
      : `the response of ${Id}`
    : `the item of ${Id}`;
}[QuestionKindId];
type Same<A, B> = [A] extends [B] ? ([B] extends [A] ? true : false) : false;
/** Does not compile where a schema has drifted away from its type, and names it. */
const drifted: [Drifted] extends [never] ? 'none' : Drifted = 'none';
void drifted;

type Members<Part extends keyof KindSchemas> = readonly Schemas[QuestionKindId][Part][];
const membersOf = <Part extends keyof KindSchemas>(part: Part): Members<Part> =>
  Object.values(KIND_SCHEMAS).map((schemas) => schemas[part]);

export const ItemSchema = TaggedUnion('kind', membersOf('item'));
/** What a pupil gives to an item, by question kind. */
export const ResponseSchema = TaggedUnion('kind', membersOf('response'));
export const ItemViewSchema = TaggedUnion('kind', membersOf('view'));
