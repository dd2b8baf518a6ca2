import type { Item } from '../question-kinds/registry.js';

export type AskingPhase = 'open' | 'closed' | 'revealed';

/** A question that was put to pupils. The same item can be asked again: that is another asking; responses belong to an asking. */
export interface Asking {
  /** That of the item where the script asks it; `id.2`, `id.3` … where it is asked again. */
  readonly id: string;
  /** What is asked, by value: editing a lesson changes nothing that was asked. */
  readonly item: Item;
  readonly phase: AskingPhase;
  /**
   * When it closed, in milliseconds since 1970 by the server's clock: an answer that comes later is late. Null while it is
   * open, and where it closed before this was kept.
   */
  readonly closedAtMs: number | null;
}

/** The asking of an item by the script, if it was reached yet. */
export function askingOfScript(askings: readonly Asking[], itemId: string): Asking | undefined {
  return askings.find(({ id }) => id === itemId);
}

/** The askings with one changed where it stands, or added at the end. */
export function withAsking(askings: readonly Asking[], changed: Asking): readonly Asking[] {
  const known = askings.some(({ id }) => id === changed.id);
  return known ? askings.map((asking) => (asking.id === changed.id ? changed : asking)) : [...askings, changed];
}

/** How an asking is named to a teacher: its number in the order asked, and whether it was asked before. */
export function timesAsked(askings: readonly Asking[], asking: Asking): number {
  const upTo = askings.findIndex(({ id }) => id === asking.id);
  return askings.slice(0, upTo + 1).filter(({ item }) => item.id === asking.item.id).length;
}
