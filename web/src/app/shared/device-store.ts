/**
 * A little text kept on the device. Where that is refused (a private window, a full store, a school's rule) nothing is kept, and
 * everything else goes on.
 */
export function deviceStore(kind: 'local' | 'session' = 'local') {
  /** Even looking at the store may be refused. */
  const within = <T>(work: (store: Storage) => T, otherwise: T): T => {
    try {
      return work(kind === 'local' ? localStorage : sessionStorage);
    } catch {
      return otherwise;
    }
  };
  return {
    get: (key: string): string | null => within((store) => store.getItem(key), null),
    /** @returns whether it is kept */
    set: (key: string, text: string): boolean =>
      within((store) => {
        store.setItem(key, text);
        return true;
      }, false),
    remove: (key: string): void => within((store) => store.removeItem(key), undefined),
    keys: (): readonly string[] => within((store) => Object.keys(store), []),
  };
}
