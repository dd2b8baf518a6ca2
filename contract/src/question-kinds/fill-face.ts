import { Type } from '@sinclair/typebox';
import { SHAPE_SCHEMAS } from '../shapes/shapes.js';
import { kindSchemas } from './kind-schemas.js';

const Numeral = Type.Integer({ minimum: 1, maximum: 12 });

export const fillFaceSchemas = kindSchemas('fill-face', SHAPE_SCHEMAS.numbers, {
  gaps: Type.Array(Numeral, { minItems: 1, maxItems: 6, uniqueItems: true }),
});
