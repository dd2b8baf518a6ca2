import { Type } from '@sinclair/typebox';
import { Degrees, Exact, OneOf, SecondOfDaySchema, WholeMinuteSchema } from '../shared.js';
import { LayersSchema } from '../stage.js';
import { ItemIdSchema, viewBase } from './kind-schemas.js';

const kind = Type.Literal('set-dial');
const hands = OneOf(['geared', 'free']);

export const setDialSchemas = {
  item: Exact({ kind, id: ItemIdSchema, timeSec: WholeMinuteSchema, from: OneOf(['display', 'words']), hands }),
  response: Exact({ kind, hourDeg: Degrees, minuteDeg: Degrees }),
  view: Exact({ kind, ...viewBase, hands, startSec: SecondOfDaySchema, layers: LayersSchema }),
};
