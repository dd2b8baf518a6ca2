import { Type } from '@sinclair/typebox';
import { ChoiceSchema, SHAPE_SCHEMAS } from '../shapes/shapes.js';
import { OneOf, WholeMinuteSchema } from '../shared.js';
import { kindSchemas } from './kind-schemas.js';

export const chooseAllSchemas = kindSchemas('choose-all', SHAPE_SCHEMAS.choices, {
  timeSec: WholeMinuteSchema,
  from: OneOf(['words', 'display', 'dial']),
  choices: Type.Array(ChoiceSchema, { minItems: 2, maxItems: 8 }),
});
