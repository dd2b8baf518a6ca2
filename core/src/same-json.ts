/** Whether two pieces of plain data are the same, whatever the order of their members. */
export function sameJson(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null || Array.isArray(a) !== Array.isArray(b)) return false;
  const [keysA, keysB] = [Object.keys(a), Object.keys(b)];
  return keysA.length === keysB.length && keysA.every((key) => key in b && sameJson(a[key as never], b[key as never]));
}
