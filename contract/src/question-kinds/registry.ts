import type { Item, ItemOf, ItemView, QuestionKindId, Response, ResponseOf, ViewOf } from '@zeitpunkt/core/question-kinds/registry';
import { Type, type TObject, type TUnsafe } from '@sinclair/typebox';
import { type Data, Exact, TaggedUnion } from '../shared.js';
import type { KindSchemas } from './kind-schemas.js';
import { betweenTimesSchemas } from './between-times.js';
import { chooseAllSchemas } from './choose-all.js';
import { chooseOneSchemas } from './choose-one.js';
import { convert24Schemas } from './convert-24.js';
import { earlyLateSchemas } from './early-late.js';
import { explainMistakeSchemas } from './explain-mistake.js';
import { fillFaceSchemas } from './fill-face.js';
import { halfOfDaySchemas } from './half-of-day.js';
import { handsInWordsSchemas } from './hands-in-words.js';
import { hourHandAloneSchemas } from './hour-hand-alone.js';
import { labelPartsSchemas } from './label-parts.js';
import { laterEarlierSchemas } from './later-earlier.js';
import { matchSchemas } from './match.js';
import { minuteHandAloneSchemas } from './minute-hand-alone.js';
import { oddOneOutSchemas } from './odd-one-out.js';
import { orderTimesSchemas } from './order-times.js';
import { patternSchemas } from './pattern.js';
import { placeOnLineSchemas } from './place-on-line.js';
import { possibleDialSchemas } from './possible-dial.js';
import { readDialSchemas } from './read-dial.js';
import { ringMinutesSchemas } from './ring-minutes.js';
import { secondHandSchemas } from './second-hand.js';
import { sensibleTimeSchemas } from './sensible-time.js';
import { setDialSchemas } from './set-dial.js';
import { unitsSchemas } from './units.js';
import { writeDisplaySchemas } from './write-display.js';
import { writeWordsSchemas } from './write-words.js';

/** The schemas of every question kind; one that is missing does not compile. */
export const KIND_SCHEMAS = {
  'read-dial': readDialSchemas,
  'set-dial': setDialSchemas,
  'choose-all': chooseAllSchemas,
  'choose-one': chooseOneSchemas,
  'odd-one-out': oddOneOutSchemas,
  match: matchSchemas,
  'possible-dial': possibleDialSchemas,
  'hour-hand-alone': hourHandAloneSchemas,
  'minute-hand-alone': minuteHandAloneSchemas,
  'explain-mistake': explainMistakeSchemas,
  'write-display': writeDisplaySchemas,
  'write-words': writeWordsSchemas,
  'hands-in-words': handsInWordsSchemas,
  'fill-face': fillFaceSchemas,
  'ring-minutes': ringMinutesSchemas,
  'label-parts': labelPartsSchemas,
  units: unitsSchemas,
  'place-on-line': placeOnLineSchemas,
  'half-of-day': halfOfDaySchemas,
  'convert-24': convert24Schemas,
  'sensible-time': sensibleTimeSchemas,
  'early-late': earlyLateSchemas,
  'later-earlier': laterEarlierSchemas,
  'between-times': betweenTimesSchemas,
  pattern: patternSchemas,
  'order-times': orderTimesSchemas,
  'second-hand': secondHandSchemas,
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

const membersOf = (part: keyof KindSchemas): TObject[] => Object.values(KIND_SCHEMAS).map((schemas) => schemas[part]);

// The types are those of the core: that they are the same is checked above, and unions of so many members are slow to derive.
export const ItemSchema = TaggedUnion('kind', membersOf('item')) as unknown as TUnsafe<Item>;

/** Whoever is not sure says so, to a question of any kind. */
const NotSureSchema = Exact({ kind: Type.Literal('not-sure') });
/** What a pupil gives to an item: by question kind, or that they are not sure. */
export const ResponseSchema = TaggedUnion('kind', [...membersOf('response'), NotSureSchema]) as unknown as TUnsafe<Response>;
export const ItemViewSchema = TaggedUnion('kind', membersOf('view')) as unknown as TUnsafe<ItemView>;
