import { Type } from '@sinclair/typebox';
import { Degrees, Exact, Nullable, OneOf, ShortText, WholeMinuteSchema } from '../shared.js';
import { LayersSchema } from '../stage.js';
import { ItemIdSchema, viewBase } from './kind-schemas.js';

const kind = Type.Literal('choose-all');
const MOST_CHOICES = 8;
const DialChoice = Exact({ hourDeg: Degrees, minuteDeg: Degrees, numerals: OneOf(['all', 'quarters', 'none']) });
const choices = Type.Array(Type.Union([DialChoice, Exact({ text: ShortText })]), { minItems: 2, maxItems: MOST_CHOICES });

export const chooseAllSchemas = {
  item: Exact({ kind, id: ItemIdSchema, timeSec: WholeMinuteSchema, from: OneOf(['words', 'display', 'dial']), choices }),
  response: Exact({
    kind,
    chosen: Type.Array(Type.Integer({ minimum: 0, maximum: MOST_CHOICES - 1 }), { maxItems: MOST_CHOICES, uniqueItems: true }),
  }),
  view: Exact({ kind, ...viewBase, shown: Nullable(DialChoice), choices, layers: LayersSchema }),
};
