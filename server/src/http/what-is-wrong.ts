/** The part of an Ajv error that a sentence needs. */
export interface SchemaError {
  readonly instancePath: string;
  readonly keyword: string;
  readonly params: Record<string, unknown>;
  readonly message?: string;
}

/**
 * One plain sentence from the errors of a validator, with the place. Of the branches of a union the one that got
 * furthest is named: its complaint is the one somebody can act on.
 */
export function whatIsWrong(what: string, errors: readonly SchemaError[] | null | undefined): string {
  const named = (errors ?? []).filter((error) => !['anyOf', 'oneOf', 'const'].includes(error.keyword));
  const worst = [...(named.length ? named : (errors ?? []))].sort((a, b) => depth(b) - depth(a))[0];
  if (!worst) return `${what} does not have the expected shape.`;
  const place = worst.instancePath ? ` at ${worst.instancePath}` : '';
  return `${what} is not as expected${place}: it ${complaint(worst)}.`;
}

const depth = (error: SchemaError) => error.instancePath.split('/').length;

function complaint(error: SchemaError): string {
  const text = (error.message ?? 'is not valid').replace(/^must /, 'must ');
  if (error.keyword === 'additionalProperties') return `has an unknown member “${String(error.params['additionalProperty'])}”`;
  if (error.keyword === 'enum') return `must be one of ${(error.params['allowedValues'] as unknown[]).join(', ')}`;
  return text;
}
