import { WholeMinuteSchema } from '../shared.js';
import { SHAPE_SCHEMAS } from '../shapes/shapes.js';
import { kindSchemas } from './kind-schemas.js';

export const writeDisplaySchemas = kindSchemas('write-display', SHAPE_SCHEMAS.time, { timeSec: WholeMinuteSchema });
