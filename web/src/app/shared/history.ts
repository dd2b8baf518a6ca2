/** What was, what is, what was undone: any number of steps. */
export interface History<T> {
  readonly past: readonly T[];
  readonly now: T;
  readonly future: readonly T[];
}

export const begin = <T>(now: T): History<T> => ({ past: [], now, future: [] });

/** A step that can be undone; none where nothing changed. What had been undone is forgotten. */
export const step =
  <T>(next: T) =>
  (history: History<T>): History<T> =>
    next === history.now ? history : { past: [...history.past, history.now], now: next, future: [] };

/** A change that belongs to the step under way, so that one drag is one step. */
export const during =
  <T>(next: T) =>
  (history: History<T>): History<T> => ({ ...history, now: next });

export function undo<T>(history: History<T>): History<T> {
  const last = history.past.at(-1);
  return last === undefined ? history : { past: history.past.slice(0, -1), now: last, future: [history.now, ...history.future] };
}

export function redo<T>(history: History<T>): History<T> {
  const [next, ...future] = history.future;
  return next === undefined ? history : { past: [...history.past, history.now], now: next, future };
}
