import { Type, type Static, type TObject, type TProperties, type TSchema, type TUnsafe } from '@sinclair/typebox';

/** The data of a schema, deeply read-only, as all data of ours is handed on. */
export type Data<Schema extends TSchema> = ReadonlyData<Static<Schema>>;

type ReadonlyData<T> = T extends readonly (infer One)[]
  ? readonly ReadonlyData<One>[]
  : T extends object
    ? { readonly [Key in keyof T]: ReadonlyData<T[Key]> }
    : T;

/** An object that holds exactly these members: anything else is refused with its path. */
export function Exact<T extends TProperties>(members: T): TObject<T> {
  return Type.Object(members, { additionalProperties: false });
}

/** A schema or null. */
export const Nullable = <T extends TSchema>(schema: T) => Type.Union([schema, Type.Null()]);

/**
 * A union whose members are told apart by a tag that each fixes: Ajv goes straight to the member that is meant, so that a
 * message names what is wrong there, and nothing else is tried.
 */
export function TaggedUnion<const Members extends readonly TObject[]>(tag: string, members: Members): TUnsafe<Static<Members[number]>> {
  return Type.Unsafe({ type: 'object', discriminator: { propertyName: tag }, required: [tag], oneOf: [...members] });
}

/** A union of fixed texts. */
export function OneOf<const T extends readonly string[]>(values: T) {
  return Type.Unsafe<T[number]>({ type: 'string', enum: [...values] });
}

/** An id made by whoever creates the thing, so that a repeated request changes nothing. */
export const Uuid = Type.String({ pattern: '^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$' });

/** Whole seconds since midnight. */
export const SecondOfDaySchema = Type.Integer({ minimum: 0, maximum: 86_399 });

/** The same on a whole minute: where a time is read and said in hours and minutes, seconds could not be shown. */
export const WholeMinuteSchema = Type.Integer({ minimum: 0, maximum: 86_399, multipleOf: 60 });

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
  /** The number of the request, by which it is found in the server's log. */
  number: Type.Optional(Type.String()),
  /** What the sentence speaks of, for whoever words it anew. */
  params: Type.Optional(Type.Record(Type.String(), Type.Union([Type.String(), Type.Number()]))),
});
export type Problem = Data<typeof Problem>;
