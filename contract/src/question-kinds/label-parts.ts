import { Type } from '@sinclair/typebox';
import { OneOf } from '../shared.js';
import { SHAPE_SCHEMAS } from '../shapes/shapes.js';
import { kindSchemas } from './kind-schemas.js';

const parts = Type.Array(OneOf(['short-hand', 'long-hand', 'second-hand', 'numeral', 'tick', 'hours', 'colon', 'minutes']), {
  minItems: 2,
  maxItems: 5,
  uniqueItems: true,
});

export const labelPartsSchemas = kindSchemas('label-parts', SHAPE_SCHEMAS.pairs, { parts, names: parts });
