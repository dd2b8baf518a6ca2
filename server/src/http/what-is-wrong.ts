/** The part of an Ajv error that a sentence needs. */
export interface SchemaError {
  readonly instancePath: string;
  readonly keyword: string;
  readonly params: Record<string, unknown>;
  readonly message?: string;
}

/** One plain sentence from the errors of a validator, with the place. */
export function whatIsWrong(what: string, errors: readonly SchemaError[] | null | undefined): string {
  return `${what} is not as expected: it ${complaintOf(errors)}.`;
}

/**
 * What the errors of a validator come to, with the place, as the end of a sentence. Of the branches of a union the one that
 * got furthest is named: its complaint is the one somebody can act on.
 */
export function complaintOf(errors: readonly SchemaError[] | null | undefined): string {
  const named = (errors ?? []).filter((error) => !['anyOf', 'oneOf', 'const'].includes(error.keyword));
  const worst = [...(named.length ? named : (errors ?? []))].sort((a, b) => depth(b) - depth(a))[0];
  if (!worst) return 'does not have the expected shape';
  return `${complaint(worst)}${worst.instancePath ? ` at ${worst.instancePath}` : ''}`;
}

const depth = (error: SchemaError) => error.instancePath.split('/').length;

function complaint(error: SchemaError): string {
  const text = error.message ?? 'is not valid';
  if (error.keyword === 'additionalProperties') return `has an unknown member “${String(error.params['additionalProperty'])}”`;
  if (error.keyword === 'enum') return `must be one of ${(error.params['allowedValues'] as unknown[]).join(', ')}`;
  if (error.keyword === 'multipleOf' && error.params['multipleOf'] === 60) return 'must be a whole minute, in seconds since midnight,';
  if (error.keyword === 'discriminator')
    return `must be of a known ${String(error.params['tag'])}, and “${String(error.params['tagValue'])}” is none`;
  return text;
}
