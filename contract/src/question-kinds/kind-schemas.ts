import type { TObject } from '@sinclair/typebox';
import { Type } from '@sinclair/typebox';
import { LongText } from '../shared.js';

/** The schemas of one question kind: how it is stored, what a pupil gives, and what a device is told. */
export interface KindSchemas {
  readonly item: TObject;
  readonly response: TObject;
  readonly view: TObject;
}

/** An item’s id; it has no dot, which tells askings of the same item apart. */
export const ItemIdSchema = Type.String({ pattern: '^[a-z0-9-]{1,40}$' });

/** What the view of every kind has. */
export const viewBase = { itemId: ItemIdSchema, stem: LongText };
