import { WholeMinuteSchema } from '../shared.js';
import { SHAPE_SCHEMAS } from '../shapes/shapes.js';
import { kindSchemas } from './kind-schemas.js';

export const hourHandAloneSchemas = kindSchemas('hour-hand-alone', SHAPE_SCHEMAS.time, { timeSec: WholeMinuteSchema });
