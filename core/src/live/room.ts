import { CoreError } from '../errors.js';
import type { Aside } from '../lesson/aside.js';
import type { PreparedLesson } from '../lesson/prepare.js';
import { sameStep, type StepRef } from '../lesson/step-ref.js';
import type { Item } from '../question-kinds/registry.js';
import { askBeside, backToScript, closeRun, currentAsking, enterStep, newRun, setPhase, type Run } from '../run/run.js';
import type { Asking } from '../run/asking.js';
import { sameJson } from '../same-json.js';
import { newDoor, turnDoor, type Door } from './door.js';

/** A live room as it is stored: whether it runs, where its one run stands, and what is shown beside the script. */
export interface RoomState {
  readonly phase: 'lobby' | 'running' | 'ended';
  /** When the lesson began; null in the lobby. */
  readonly begunAtMs: number | null;
  readonly run: Run;
  /** What the teacher shows beside the script; null while the stage follows it. Every step of the script ends it. */
  readonly aside: Aside | null;
  readonly door: Door;
}

/** What a teacher may tell a room. `go` names its goal, so that a repeated command changes nothing. */
export type RoomCommand =
  | { readonly type: 'begin' }
  | { readonly type: 'go'; readonly to: StepRef }
  | { readonly type: 'close'; readonly askingId: string }
  /** Shows the answer to a question that was put beside the script. */
  | { readonly type: 'reveal'; readonly askingId: string }
  /** Puts a question beside the script: one that was asked before, again, or one that is in no lesson. */
  | { readonly type: 'ask'; readonly item: Item }
  /** Leaves the script, or with null comes back to it, also from a question beside it. */
  | { readonly type: 'aside'; readonly aside: Aside | null }
  /** Opens or closes the door. */
  | { readonly type: 'door'; readonly open: boolean }
  /** Whether pupils wait to be let in. */
  | { readonly type: 'door-asks'; readonly asks: boolean }
  | { readonly type: 'end' };

/** @param asks whether pupils wait at the door to be let in */
export function newRoom(prepared: PreparedLesson, asks = true): RoomState {
  return { phase: 'lobby', begunAtMs: null, run: newRun(prepared), aside: null, door: newDoor(asks) };
}

/**
 * The room after a command. Returns the same object when nothing changes.
 * @param nowMs the server's clock
 * @throws CoreError ROOM_POSITION_RANGE, ROOM_NOT_RUNNING, QUESTION_UNKNOWN, LESSON_ITEM_TWICE
 */
export function applyCommand(room: RoomState, command: RoomCommand, prepared: PreparedLesson, nowMs: number): RoomState {
  switch (command.type) {
    case 'begin': {
      if (room.phase === 'running') return room;
      if (room.phase === 'ended') throw new CoreError('ROOM_NOT_RUNNING', 'This lesson has ended; start it anew from the list of lessons.');
      const run = enterStep(room.run, prepared.steps[0]!.ref, prepared, nowMs);
      return { ...room, phase: 'running', begunAtMs: nowMs, run, door: turnDoor(room.door, room.door.open, true, nowMs) };
    }
    case 'go': {
      mustRun(room, 'The lesson can only move on while it is running.');
      const run = enterStep(room.run, command.to, prepared, nowMs);
      const stays = sameStep(run.at, room.run.at) && room.run.besideId === null;
      return stays ? room : { ...room, run, aside: null };
    }
    case 'close':
      return withRun(room, setPhase(room.run, command.askingId, 'closed', nowMs));
    case 'reveal':
      return withRun(room, setPhase(room.run, command.askingId, 'revealed', nowMs));
    case 'ask':
      mustRun(room, 'A question can only be asked while the lesson is running.');
      return { ...room, run: askBeside(room.run, command.item, prepared, nowMs), aside: null };
    case 'aside': {
      mustRun(room, 'The hands can only be turned while the lesson is running.');
      const run = command.aside === null && room.aside === null ? backToScript(room.run, nowMs) : room.run;
      return run === room.run && sameJson(room.aside, command.aside) ? room : { ...room, run, aside: command.aside };
    }
    case 'door': {
      const door = turnDoor(room.door, command.open, room.phase === 'running', nowMs);
      return sameJson(door, room.door) ? room : { ...room, door };
    }
    case 'door-asks':
      return room.door.asks === command.asks ? room : { ...room, door: { ...room.door, asks: command.asks } };
    case 'end':
      return room.phase === 'ended' ? room : { ...room, phase: 'ended', run: closeRun(room.run, nowMs), aside: null };
  }
}

/** The question on the room's stage, or null. */
export function askingOfRoom(room: RoomState, prepared: PreparedLesson): Asking | null {
  return room.phase === 'running' ? currentAsking(room.run, prepared) : null;
}

function mustRun(room: RoomState, otherwise: string): void {
  if (room.phase !== 'running') throw new CoreError('ROOM_NOT_RUNNING', otherwise);
}

const withRun = (room: RoomState, run: Run): RoomState => (run === room.run ? room : { ...room, run });
