import type { Check } from '@zeitpunkt/core/formats/format';
import { Ajv, type ValidateFunction } from 'ajv';
import type { TSchema } from '@sinclair/typebox';
import { complaintOf } from './what-is-wrong.js';

/** How every validator of the server is made: nothing is coerced, and a tagged union is told apart by its tag. */
const AJV_OPTIONS = { coerceTypes: false, removeAdditional: false, discriminator: true, code: { optimize: false } } as const;

// Compiling is what costs: with Ajv's optimiser four times as much, and what is made checks as fast without it. A part that is
// worth it is compiled once, under a name, whatever schemas it stands in: the others refer to it.
const WORTH_SHARING = 300;
const ajv = new Ajv({ ...AJV_OPTIONS, inlineRefs: false });
const known = new WeakMap<TSchema, ValidateFunction>();
/** Names of the shared parts, by their text. */
const shared = new Map<string, string>();

/** Whether data fits a schema of the contract; `errors` says where not. Compiled at its first use, once for each schema. */
export function fitsOf<T>(schema: TSchema): ValidateFunction<T> {
  let fits = known.get(schema);
  if (!fits) known.set(schema, (fits = ajv.compile(inParts(schema) as TSchema)));
  return fits as ValidateFunction<T>;
}

/** A schema in which every part of some length, by the letters of its text, is a reference to it. */
function inParts(schema: unknown): unknown {
  if (Array.isArray(schema)) return schema.map(inParts);
  if (typeof schema !== 'object' || schema === null) return schema;
  const part = Object.fromEntries(Object.entries(schema).map(([key, value]) => [key, inParts(value)]));
  if (!isSchema(part)) return part;
  const text = JSON.stringify(part);
  if (text.length < WORTH_SHARING) return part;
  let name = shared.get(text);
  if (name === undefined) {
    shared.set(text, (name = `part-${shared.size + 1}`));
    ajv.addSchema(part, name);
  }
  return { $ref: name };
}

/** Whether it is a schema rather than a list of members by name, one of which may be called "type". */
const isSchema = (part: object) =>
  ('type' in part && typeof part.type === 'string') ||
  ('anyOf' in part && Array.isArray(part.anyOf)) ||
  ('oneOf' in part && Array.isArray(part.oneOf));

/** A schema as a check for the door of everything stored. */
export function checkOf(schema: TSchema): Check {
  return (data) => {
    const fits = fitsOf(schema);
    return fits(data) ? null : complaintOf(fits.errors);
  };
}
