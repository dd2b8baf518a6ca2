import { PARTS } from '@zeitpunkt/contract';
import type { Outside } from '@zeitpunkt/contract';

const REMEMBERED_MS = 15 * 60_000;

interface Knock {
  readonly id: string;
  readonly atMs: number;
  /** The teacher has opened to this one. */
  opened: boolean;
  /** The teacher has to open, though the door be open to others. */
  readonly mustBeOpened: boolean;
}

/** Late comers before a closed door. They are kept in memory only: who still stands there knocks again. */
export class Knocks {
  private readonly byId = new Map<string, Knock>();

  constructor(private readonly nowMs: () => number) {}

  /** Those who wait for an answer, in the order they came. */
  get waiting(): Outside['knocks'] {
    return this.current().flatMap(({ id, atMs, opened }) => (opened ? [] : [{ id, atMs }]));
  }

  has(id: string): boolean {
    return this.byId.has(id);
  }

  /** @param mustBeOpened an open door is not enough @returns whether it is a new knock */
  knock(id: string, mustBeOpened: boolean): boolean {
    if (this.byId.has(id) || this.current().length >= PARTS.knocks.most) return false;
    this.byId.set(id, { id, atMs: this.nowMs(), opened: false, mustBeOpened });
    return true;
  }

  /** @returns whether somebody stood there */
  open(id: string): boolean {
    const knock = this.byId.get(id);
    if (knock) knock.opened = true;
    return knock !== undefined;
  }

  mustBeOpened(id: string): boolean {
    return this.byId.get(id)?.mustBeOpened ?? false;
  }

  isOpened(id: string): boolean {
    return this.byId.get(id)?.opened ?? false;
  }

  private current(): Knock[] {
    const since = this.nowMs() - REMEMBERED_MS;
    for (const { id, atMs } of this.byId.values()) if (atMs < since) this.byId.delete(id);
    return [...this.byId.values()];
  }
}
