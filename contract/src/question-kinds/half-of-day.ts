import { ShortText, WholeMinuteSchema } from '../shared.js';
import { SHAPE_SCHEMAS } from '../shapes/shapes.js';
import { kindSchemas } from './kind-schemas.js';

export const halfOfDaySchemas = kindSchemas('half-of-day', SHAPE_SCHEMAS.choices, { timeSec: WholeMinuteSchema, event: ShortText });
