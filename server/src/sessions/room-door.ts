import { CoreError } from '@zeitpunkt/core/errors';
import { admitsNewcomers, isDoorOpen } from '@zeitpunkt/core/live/door';
import type { RoomState } from '@zeitpunkt/core/live/room';
import type { Outside } from '@zeitpunkt/contract';
import type { Hub } from './hub.js';
import { Knocks } from './knocks.js';

interface RoomDoorNeeds {
  readonly nowMs: () => number;
  readonly hub: Hub;
  /** The room as it is now. */
  readonly room: () => RoomState;
  /** How many wrong room keys were tried lately. */
  readonly wrongKeys: () => number;
}

/** The door of a live room: whom it is open to, and who stands before it. */
export class RoomDoor {
  private readonly knocks: Knocks;

  constructor(private readonly of: RoomDoorNeeds) {
    this.knocks = new Knocks(of.nowMs);
  }

  /** Whether the room key opens it now. @param knockId of one who knocked, to whom the teacher may have opened */
  isOpenTo(knockId?: string): boolean {
    if (knockId !== undefined && this.knocks.isOpened(knockId)) return true;
    return isDoorOpen(this.of.room().door, this.of.nowMs()) && !(knockId !== undefined && this.knocks.mustBeOpened(knockId));
  }

  /** Whether the teacher has opened to one who knocked. */
  isOpenedTo(knockId: string): boolean {
    return this.knocks.isOpened(knockId);
  }

  hasKnocked(knockId: string): boolean {
    return this.knocks.has(knockId);
  }

  /** @param mustBeOpened the teacher has to open to this one, though the door be open to others */
  knock(knockId: string, mustBeOpened: boolean): void {
    if (this.knocks.knock(knockId, mustBeOpened)) this.tellOutside();
  }

  /** Opens the closed door to one who knocks. @throws CoreError NOT_FOUND */
  openTo(knockId: string): void {
    if (!this.knocks.open(knockId)) throw new CoreError('NOT_FOUND', 'Nobody stands at the door any more.');
    this.tellOutside();
  }

  /** Tells the consoles who stands before it, and of wrong keys. */
  tellOutside(): void {
    this.of.hub.tell({ type: 'outside', outside: this.outside });
  }

  get outside(): Outside {
    return { knocks: this.knocks.waiting, wrongKeys: this.of.wrongKeys() };
  }

  /** Whether one who is not on the class list may come in. */
  get admitsNewcomers(): boolean {
    return admitsNewcomers(this.of.room().door);
  }

  /** Whether whoever comes in waits for the teacher. */
  get admitsOneByOne(): boolean {
    return this.of.room().door.admits === 'one-by-one';
  }
}
