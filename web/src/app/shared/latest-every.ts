/**
 * Hands on at most one value in so many milliseconds: the first at once, and of those that come meanwhile the latest.
 */
export function latestEvery<T>(everyMs: number, handOn: (value: T) => void): (value: T) => void {
  let resting = false;
  let next: { readonly value: T } | null = null;
  const send = (value: T) => {
    resting = true;
    next = null;
    handOn(value);
    setTimeout(() => {
      resting = false;
      if (next) send(next.value);
    }, everyMs);
  };
  return (value) => {
    if (resting) next = { value };
    else send(value);
  };
}
