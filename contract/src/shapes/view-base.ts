import { Type } from '@sinclair/typebox';
import { LongText } from '../shared.js';
import { PictureSchema } from '../stage.js';

/** An item’s id; it has no dot, which tells askings of the same item apart. */
export const ItemIdSchema = Type.String({ pattern: '^[a-z0-9-]{1,40}$' });

/** What the view of every kind has. */
export const viewBase = { itemId: ItemIdSchema, stem: LongText, picture: PictureSchema };
