import { Type } from '@sinclair/typebox';
import { PoseSchema } from '../stage.js';
import { SHAPE_SCHEMAS } from '../shapes/shapes.js';
import { kindSchemas } from './kind-schemas.js';

export const possibleDialSchemas = kindSchemas('possible-dial', SHAPE_SCHEMAS.choices, {
  poses: Type.Array(PoseSchema, { minItems: 1, maxItems: 4 }),
});
