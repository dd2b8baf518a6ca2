import { Type } from '@sinclair/typebox';
import { OneOf, WholeMinuteSchema } from '../shared.js';
import { SHAPE_SCHEMAS } from '../shapes/shapes.js';
import { kindSchemas } from './kind-schemas.js';

export const orderTimesSchemas = kindSchemas('order-times', SHAPE_SCHEMAS.order, {
  times: Type.Array(WholeMinuteSchema, { minItems: 3, maxItems: 5 }),
  as: OneOf(['dial', 'display', 'words']),
});
