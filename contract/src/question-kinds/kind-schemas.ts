import type { TObject } from '@sinclair/typebox';
import { Type, type TProperties } from '@sinclair/typebox';
import { ItemIdSchema, viewBase } from '../shapes/view-base.js';
import { Exact } from '../shared.js';

/** The schemas of one question kind: how it is stored, what a pupil gives, and what a device is told. */
export interface KindSchemas {
  readonly item: TObject;
  readonly response: TObject;
  readonly view: TObject;
}

/** The schemas of a kind: what is its own is how its items are stored; the rest is that of its shape. */
export function kindSchemas<const Kind extends string, Answer extends TProperties, View extends TProperties, Item extends TProperties>(
  kind: Kind,
  { answer, view }: { readonly answer: Answer; readonly view: View },
  item: Item,
) {
  const tag = { kind: Type.Literal(kind) };
  return {
    item: Exact({ ...tag, id: ItemIdSchema, ...item }),
    response: Exact({ ...tag, ...answer }),
    view: Exact({ ...tag, ...viewBase, ...view }),
  };
}
