import { Type, type Static, type TObject, type TProperties, type TSchema } from '@sinclair/typebox';

/** An object that holds exactly these members: anything else is refused with its path. */
export function Exact<T extends TProperties>(members: T): TObject<T> {
  return Type.Object(members, { additionalProperties: false });
}

/** A schema or null. */
export const Nullable = <T extends TSchema>(schema: T) => Type.Union([schema, Type.Null()]);

/** A union of fixed texts. */
export function OneOf<const T extends readonly string[]>(values: T) {
  return Type.Unsafe<T[number]>({ type: 'string', enum: [...values] });
}

/** An id made by whoever creates the thing, so that a repeated request changes nothing. */
export const Uuid = Type.String({ pattern: '^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$' });

/** Whole seconds since midnight. */
export const SecondOfDaySchema = Type.Integer({ minimum: 0, maximum: 86_399 });

/** Milliseconds since 1970 by the server's clock. */
export const AtMs = Type.Integer({ minimum: 0 });

/** Degrees clockwise from 12. */
export const Degrees = Type.Number({ minimum: 0, exclusiveMaximum: 360 });

/** A line of text on screen, at least one letter. */
export const ShortText = Type.String({ minLength: 1, maxLength: 200 });
export const LongText = Type.String({ maxLength: 2000 });

/** RFC 9457 problem JSON: `detail` is one plain sentence, `code` one of the core's error codes. */
export const Problem = Exact({
  type: Type.String(),
  title: Type.String(),
  status: Type.Integer(),
  code: Type.String(),
  detail: Type.String(),
});
export type Problem = Static<typeof Problem>;
