import { ShortText, WholeMinuteSchema } from '../shared.js';
import { SHAPE_SCHEMAS } from '../shapes/shapes.js';
import { kindSchemas } from './kind-schemas.js';

export const earlyLateSchemas = kindSchemas('early-late', SHAPE_SCHEMAS.choices, {
  event: ShortText,
  plannedSec: WholeMinuteSchema,
  thereSec: WholeMinuteSchema,
});
