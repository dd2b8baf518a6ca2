import { Type } from '@sinclair/typebox';
import { ChoiceSchema, SHAPE_SCHEMAS } from '../shapes/shapes.js';
import { WholeMinuteSchema } from '../shared.js';
import { kindSchemas } from './kind-schemas.js';

export const oddOneOutSchemas = kindSchemas('odd-one-out', SHAPE_SCHEMAS.choices, {
  timeSec: WholeMinuteSchema,
  choices: Type.Array(ChoiceSchema, { minItems: 3, maxItems: 5 }),
});
