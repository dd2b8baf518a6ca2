import { Type } from '@sinclair/typebox';
import { OneOf, ShortText, WholeMinuteSchema } from '../shared.js';
import { SHAPE_SCHEMAS } from '../shapes/shapes.js';
import { kindSchemas } from './kind-schemas.js';

export const writeWordsSchemas = kindSchemas('write-words', SHAPE_SCHEMAS.words, {
  timeSec: WholeMinuteSchema,
  from: OneOf(['dial', 'display']),
  accepted: Type.Optional(Type.Array(ShortText, { maxItems: 12 })),
  lines: Type.Union([Type.Literal(1), Type.Literal(2)]),
});
