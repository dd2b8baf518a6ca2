import { Type } from '@sinclair/typebox';
import { OneOf, ShortText, WholeMinuteSchema } from '../shared.js';
import { SHAPE_SCHEMAS } from '../shapes/shapes.js';
import { kindSchemas } from './kind-schemas.js';

const Hour = Type.Integer({ minimum: 0, maximum: 23 });

export const sensibleTimeSchemas = kindSchemas('sensible-time', SHAPE_SCHEMAS.choices, {
  event: ShortText,
  fromHour: Hour,
  toHour: Hour,
  times: Type.Array(WholeMinuteSchema, { minItems: 2, maxItems: 4 }),
  as: OneOf(['day-part', 'of-24']),
});
