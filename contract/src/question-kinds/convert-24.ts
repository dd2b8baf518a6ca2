import { OneOf, WholeMinuteSchema } from '../shared.js';
import { SHAPE_SCHEMAS } from '../shapes/shapes.js';
import { kindSchemas } from './kind-schemas.js';

export const convert24Schemas = kindSchemas('convert-24', SHAPE_SCHEMAS.time, { timeSec: WholeMinuteSchema, to: OneOf(['12', '24']) });
