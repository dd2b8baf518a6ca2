import { Type } from '@sinclair/typebox';
import { Exact, WholeMinuteSchema } from '../shared.js';
import { LayersSchema, PoseSchema, SeparatorSchema } from '../stage.js';
import { ItemIdSchema, viewBase } from './kind-schemas.js';

const kind = Type.Literal('read-dial');
const Digits = Type.String({ pattern: '^[0-9]{0,2}$' });

export const readDialSchemas = {
  item: Exact({ kind, id: ItemIdSchema, timeSec: WholeMinuteSchema }),
  response: Exact({ kind, hour: Digits, minute: Digits }),
  view: Exact({ kind, ...viewBase, pose: PoseSchema, layers: LayersSchema, separator: SeparatorSchema }),
};
