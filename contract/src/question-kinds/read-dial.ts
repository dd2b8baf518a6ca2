import { Type } from '@sinclair/typebox';
import { WholeMinuteSchema } from '../shared.js';
import { SHAPE_SCHEMAS } from '../shapes/shapes.js';
import { kindSchemas } from './kind-schemas.js';

export const readDialSchemas = kindSchemas('read-dial', SHAPE_SCHEMAS.time, {
  timeSec: WholeMinuteSchema,
  as: Type.Optional(Type.Literal('of-24')),
});
