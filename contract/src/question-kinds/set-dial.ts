import { OneOf, WholeMinuteSchema } from '../shared.js';
import { SHAPE_SCHEMAS } from '../shapes/shapes.js';
import { kindSchemas } from './kind-schemas.js';

export const setDialSchemas = kindSchemas('set-dial', SHAPE_SCHEMAS.pose, {
  timeSec: WholeMinuteSchema,
  from: OneOf(['display', 'display-24', 'words']),
  hands: OneOf(['geared', 'free']),
});
