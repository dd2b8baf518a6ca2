import { Type } from '@sinclair/typebox';
import { SHAPE_SCHEMAS } from '../shapes/shapes.js';
import { kindSchemas } from './kind-schemas.js';

const Numeral = Type.Integer({ minimum: 1, maximum: 12 });

export const ringMinutesSchemas = kindSchemas('ring-minutes', SHAPE_SCHEMAS.numbers, {
  numerals: Type.Array(Numeral, { minItems: 1, maxItems: 4, uniqueItems: true }),
});
