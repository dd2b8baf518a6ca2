import { Type } from '@sinclair/typebox';
import { WholeMinuteSchema } from '../shared.js';
import { SHAPE_SCHEMAS } from '../shapes/shapes.js';
import { kindSchemas } from './kind-schemas.js';

export const secondHandSchemas = kindSchemas('second-hand', SHAPE_SCHEMAS.numbers, {
  timeSec: WholeMinuteSchema,
  second: Type.Integer({ minimum: 0, maximum: 59 }),
});
