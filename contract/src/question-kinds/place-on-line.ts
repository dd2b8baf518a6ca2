import { OneOf, WholeMinuteSchema } from '../shared.js';
import { SHAPE_SCHEMAS } from '../shapes/shapes.js';
import { kindSchemas } from './kind-schemas.js';

export const placeOnLineSchemas = kindSchemas('place-on-line', SHAPE_SCHEMAS.line, {
  timeSec: WholeMinuteSchema,
  line: OneOf(['hour', 'day']),
  from: OneOf(['dial', 'display', 'words']),
});
