import { Type } from '@sinclair/typebox';
import { OneOf, WholeMinuteSchema } from '../shared.js';
import { SHAPE_SCHEMAS } from '../shapes/shapes.js';
import { kindSchemas } from './kind-schemas.js';

const given = OneOf(['dial', 'display', 'words']);

export const matchSchemas = kindSchemas('match', SHAPE_SCHEMAS.pairs, {
  left: given,
  right: given,
  times: Type.Array(WholeMinuteSchema, { minItems: 2, maxItems: 4 }),
  others: Type.Array(WholeMinuteSchema, { minItems: 2, maxItems: 5 }),
});
