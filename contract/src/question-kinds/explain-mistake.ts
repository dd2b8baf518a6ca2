import { Type } from '@sinclair/typebox';
import { WholeMinuteSchema } from '../shared.js';
import { MisconceptionIdSchema } from '../misconceptions.js';
import { SHAPE_SCHEMAS } from '../shapes/shapes.js';
import { kindSchemas } from './kind-schemas.js';

export const explainMistakeSchemas = kindSchemas('explain-mistake', SHAPE_SCHEMAS.choices, {
  timeSec: WholeMinuteSchema,
  misconception: MisconceptionIdSchema,
  choices: Type.Array(MisconceptionIdSchema, { minItems: 1, maxItems: 5 }),
});
