import { Type } from '@sinclair/typebox';
import { WholeMinuteSchema } from '../shared.js';
import { SHAPE_SCHEMAS } from '../shapes/shapes.js';
import { kindSchemas } from './kind-schemas.js';

export const patternSchemas = kindSchemas('pattern', SHAPE_SCHEMAS.times, {
  startSec: WholeMinuteSchema,
  stepMin: Type.Integer({ minimum: -180, maximum: 180 }),
  count: Type.Integer({ minimum: 3, maximum: 6 }),
  gaps: Type.Array(Type.Integer({ minimum: 2, maximum: 5 }), { minItems: 1, maxItems: 4, uniqueItems: true }),
});
