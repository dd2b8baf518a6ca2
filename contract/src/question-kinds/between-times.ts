import { Type } from '@sinclair/typebox';
import { WholeMinuteSchema } from '../shared.js';
import { SHAPE_SCHEMAS } from '../shapes/shapes.js';
import { kindSchemas } from './kind-schemas.js';

export const betweenTimesSchemas = kindSchemas('between-times', SHAPE_SCHEMAS.choices, {
  fromSec: WholeMinuteSchema,
  toSec: WholeMinuteSchema,
  times: Type.Array(WholeMinuteSchema, { minItems: 2, maxItems: 4 }),
});
