import { Type } from '@sinclair/typebox';
import { WholeMinuteSchema } from '../shared.js';
import { SHAPE_SCHEMAS } from '../shapes/shapes.js';
import { kindSchemas } from './kind-schemas.js';

export const minuteHandAloneSchemas = kindSchemas('minute-hand-alone', SHAPE_SCHEMAS.choices, {
  minute: Type.Integer({ minimum: 0, maximum: 59 }),
  times: Type.Array(WholeMinuteSchema, { minItems: 3, maxItems: 6 }),
});
