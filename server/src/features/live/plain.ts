/** The same data without `readonly`, as the contract's types have it. */
export function plain<T>(data: T): Writable<T> {
  return data as Writable<T>;
}

type Writable<T> = T extends readonly (infer U)[] ? Writable<U>[] : T extends object ? { -readonly [K in keyof T]: Writable<T[K]> } : T;
