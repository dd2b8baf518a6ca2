/** The door of a live room: whether a room key opens it, and whether those who come in wait to be let in. */
export interface Door {
  /** While it is closed the room key tells nothing, not even that there is a room. */
  readonly open: boolean;
  /** When it closes by itself, in milliseconds since 1970 by the server's clock; null: not by itself. */
  readonly closesAtMs: number | null;
  /** Pupils wait until the teacher lets them in; otherwise they are in at once. */
  readonly asks: boolean;
}

/** So long after the lesson has begun, or after it was opened again, the door closes by itself, in milliseconds. */
export const DOOR_OPEN_MS = 10 * 60_000;

/** The door of a room that was just opened. */
export function newDoor(asks: boolean): Door {
  return { open: true, closesAtMs: null, asks };
}

/** Whether a room key opens the door at a moment, in milliseconds since 1970 by the server's clock. */
export function isDoorOpen({ open, closesAtMs }: Door, nowMs: number): boolean {
  return open && (closesAtMs === null || nowMs < closesAtMs);
}

/** The door opened or closed. In the lobby it stays open until the lesson begins; later it closes by itself again. */
export function turnDoor(door: Door, open: boolean, isRunning: boolean, nowMs: number): Door {
  return { ...door, open, closesAtMs: open && isRunning ? nowMs + DOOR_OPEN_MS : null };
}
