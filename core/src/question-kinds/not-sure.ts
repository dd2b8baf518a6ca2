/**
 * "I am not sure" is an answer to every question, and a useful one: it is no guess that would have to be explained. It is
 * marked as blank, and no idea is blamed for it.
 */
export interface NotSure {
  readonly kind: 'not-sure';
}

export const NOT_SURE: NotSure = { kind: 'not-sure' };
export const NOT_SURE_TEXT = 'not sure';

export function isNotSure(response: { readonly kind: string }): response is NotSure {
  return response.kind === NOT_SURE.kind;
}
