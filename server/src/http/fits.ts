import type { Check } from '@zeitpunkt/core';
import { Ajv, type ValidateFunction } from 'ajv';
import type { TSchema } from '@sinclair/typebox';
import { DialBuildSchema, ItemSchema, LessonSchema, StageStateSchema } from '@zeitpunkt/contract';
import { complaintOf } from './what-is-wrong.js';

/** How every validator of the server is made: nothing is coerced, and a tagged union is told apart by its tag. */
const AJV_OPTIONS = { coerceTypes: false, removeAdditional: false, discriminator: true, code: { optimize: false } } as const;

// Compiling is what costs: a desk's view takes 0.9 s with Ajv's optimiser and 0.2 s without it, and checks as fast. What stands
// in many schemas, a lesson is 390 kB of code, is compiled once: the others refer to it.
const SHARED: ReadonlyMap<unknown, string> = new Map<unknown, string>([
  [LessonSchema, 'lesson'],
  [StageStateSchema, 'stage'],
  [ItemSchema, 'item'],
  [DialBuildSchema, 'dial-build'],
]);
const ajv = new Ajv({ ...AJV_OPTIONS, inlineRefs: false });
for (const [schema, name] of SHARED) ajv.addSchema(withReferences(schema) as TSchema, name);
const known = new WeakMap<TSchema, ValidateFunction>();

/** Whether data fits a schema of the contract; `errors` says where not. Compiled at its first use, once for each schema. */
export function fitsOf<T>(schema: TSchema): ValidateFunction<T> {
  let fits = known.get(schema);
  if (!fits) {
    const name = SHARED.get(schema);
    known.set(schema, (fits = name === undefined ? ajv.compile(withReferences(schema) as TSchema) : ajv.getSchema(name)!));
  }
  return fits as ValidateFunction<T>;
}

/** A schema in which every part that is shared is a reference. */
function withReferences(schema: unknown): unknown {
  const inside = (part: unknown): unknown => {
    const name = SHARED.get(part);
    return name === undefined ? withReferences(part) : { $ref: name };
  };
  if (Array.isArray(schema)) return schema.map(inside);
  if (typeof schema !== 'object' || schema === null) return schema;
  return Object.fromEntries(Object.entries(schema).map(([key, value]) => [key, inside(value)]));
}

/** A schema as a check for the door of everything stored. */
export function checkOf(schema: TSchema): Check {
  return (data) => {
    const fits = fitsOf(schema);
    return fits(data) ? null : complaintOf(fits.errors);
  };
}
