import { OneOf } from '../shared.js';
import { SHAPE_SCHEMAS } from '../shapes/shapes.js';
import { kindSchemas } from './kind-schemas.js';

export const unitsSchemas = kindSchemas('units', SHAPE_SCHEMAS.numbers, {
  asks: OneOf([
    'seconds-in-minute',
    'minutes-in-hour',
    'minutes-in-half-hour',
    'minutes-in-quarter',
    'minutes-in-three-quarters',
    'hours-in-day',
    'rounds-in-day',
    'rounds-from-noon',
  ]),
});
