/**
 * Who is in at once: nobody, so that each waits to be let in; those of the class list; or everybody, who is not on it too.
 * Except with the class list, one who is not on it may come in under a name of their own.
 */
export const DOOR_MODES = ['one-by-one', 'class-list', 'all'] as const;
export type DoorMode = (typeof DOOR_MODES)[number];

/** The door of a live room: whether a room key opens it, and who of those who come in waits to be let in. */
export interface Door {
  /** While it is closed the room key tells nothing, not even that there is a room. */
  readonly open: boolean;
  /** When it closes by itself, in milliseconds since 1970 by the server's clock; null: not by itself. */
  readonly closesAtMs: number | null;
  readonly admits: DoorMode;
}

/** So long after the lesson has begun, or after it was opened again, the door closes by itself, in milliseconds. */
export const DOOR_OPEN_MS = 10 * 60_000;

/** The door of a room that was just opened. */
export function newDoor(admits: DoorMode): Door {
  return { open: true, closesAtMs: null, admits };
}

/** Whether a room key opens the door at a moment, in milliseconds since 1970 by the server's clock. */
export function isDoorOpen({ open, closesAtMs }: Door, nowMs: number): boolean {
  return open && (closesAtMs === null || nowMs < closesAtMs);
}

/** The door opened or closed. In the lobby it stays open until the lesson begins; later it closes by itself again. */
export function turnDoor(door: Door, open: boolean, isRunning: boolean, nowMs: number): Door {
  return { ...door, open, closesAtMs: open && isRunning ? nowMs + DOOR_OPEN_MS : null };
}

/** Whether one who is not on the class list may come in under a name of their own. */
export function admitsNewcomers({ admits }: Door): boolean {
  return admits !== 'class-list';
}
