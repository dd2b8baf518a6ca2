import { Type } from '@sinclair/typebox';
import { OneOf, WholeMinuteSchema } from '../shared.js';
import { SHAPE_SCHEMAS } from '../shapes/shapes.js';
import { kindSchemas } from './kind-schemas.js';

export const laterEarlierSchemas = kindSchemas('later-earlier', SHAPE_SCHEMAS.time, {
  startSec: WholeMinuteSchema,
  minutes: Type.Integer({ minimum: 1, maximum: 660 }),
  asks: OneOf(['end', 'start', 'length']),
});
