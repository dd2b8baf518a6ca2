import { CoreError } from '../errors.js';
import type { Aside } from '../stage/aside.js';
import type { PreparedLesson } from '../lesson/prepare.js';
import { sameStep, type StepRef } from '../lesson/step-ref.js';
import { canBeGiven, type Item } from '../question-kinds/registry.js';
import { askBeside, backToScript, closeRun, currentAsking, enterStep, newRun, setPhase, withoutAsking, type Run } from '../run/run.js';
import type { Asking } from '../run/asking.js';
import { sameJson } from '../same-json.js';
import { NO_CALLS, withoutWaiting, type Calls } from './calls.js';
import { newDoor, turnDoor, type Door, type DoorMode } from './door.js';

/** A live room as it is stored: whether it runs, where its one run stands, and what is shown beside the script. */
export interface RoomState {
  readonly phase: 'lobby' | 'running' | 'ended';
  /** When the lesson began; null in the lobby. */
  readonly begunAtMs: number | null;
  readonly run: Run;
  /** What the teacher shows beside the script; null while the stage follows it. Every step of the script ends it. */
  readonly aside: Aside | null;
  readonly door: Door;
  readonly calls: Calls;
  /** Who ended the lesson: the teacher, or three hours in which nothing was heard. Null while it goes on, and where it is not known. */
  readonly endedBy: 'teacher' | 'silence' | null;
}

/** So long nothing is heard in a room, neither of the teacher nor of pupils, and it ends by itself, in milliseconds. */
export const SILENCE_MS = 3 * 3600_000;

/** What a teacher may tell a room. `go` names its goal, so that a repeated command changes nothing. */
export type RoomCommand =
  | { readonly type: 'begin' }
  | { readonly type: 'go'; readonly to: StepRef }
  | { readonly type: 'close'; readonly askingId: string }
  /** Shows the answer to a question that was put beside the script. */
  | { readonly type: 'reveal'; readonly askingId: string }
  /** Puts a question beside the script: one that was asked before, again, or one that is in no lesson. */
  | { readonly type: 'ask'; readonly item: Item }
  /** Takes a question beside the script back that nobody has answered: as if it had not been asked. */
  | { readonly type: 'take-back'; readonly askingId: string }
  /** Leaves the script, or with null comes back to it, also from a question beside it. */
  | { readonly type: 'aside'; readonly aside: Aside | null }
  /** Opens or closes the door. */
  | { readonly type: 'door'; readonly open: boolean }
  /** Who is in at once, and who waits to be let in. */
  | { readonly type: 'door-admits'; readonly admits: DoorMode }
  /** Tells those who have not answered yet that they are waited for. */
  | { readonly type: 'nudge'; readonly askingId: string }
  /** Promises more time for the open question. */
  | { readonly type: 'more-time'; readonly askingId: string; readonly minutes: number }
  /** Puts the pupils' practice dials on the wall, or takes them away. */
  | { readonly type: 'show-me'; readonly on: boolean }
  /** Asks "Ready?", anew each time, or no longer. */
  | { readonly type: 'pulse'; readonly on: boolean }
  | { readonly type: 'end' };

/** What happens in a room by itself: nothing was heard in it for {@link SILENCE_MS}. */
export interface RoomHappening {
  readonly type: 'silence';
}

/** While a class gathers everybody has a clock to turn, and the teacher sees it. */
const LOBBY_CALLS: Calls = { ...NO_CALLS, showMe: true };

/** @param admits who is in at once */
export function newRoom(prepared: PreparedLesson, admits: DoorMode = 'one-by-one'): RoomState {
  return { phase: 'lobby', begunAtMs: null, run: newRun(prepared), aside: null, door: newDoor(admits), calls: LOBBY_CALLS, endedBy: null };
}

/**
 * The room after a command. Returns the same object when nothing changes.
 * @param nowMs the server's clock
 * @throws CoreError ROOM_POSITION_RANGE, ROOM_NOT_RUNNING, QUESTION_UNKNOWN, QUESTION_NOT_OPEN, LESSON_ITEM_TWICE, RESPONSE_SHAPE
 */
export function applyCommand(room: RoomState, command: RoomCommand | RoomHappening, prepared: PreparedLesson, nowMs: number): RoomState {
  switch (command.type) {
    case 'begin': {
      if (room.phase === 'running') return room;
      if (room.phase === 'ended') throw new CoreError('ROOM_NOT_RUNNING', 'This lesson has ended; start it anew from the list of lessons.');
      const run = enterStep(room.run, prepared.steps[0]!.ref, prepared, nowMs);
      return { ...room, phase: 'running', begunAtMs: nowMs, run, calls: NO_CALLS, door: turnDoor(room.door, room.door.open, true, nowMs) };
    }
    case 'go': {
      mustRun(room, 'The lesson can only move on while it is running.');
      const run = enterStep(room.run, command.to, prepared, nowMs);
      const stays = sameStep(run.at, room.run.at) && room.run.besideId === null;
      return stays ? room : { ...room, run, aside: null, calls: NO_CALLS };
    }
    case 'close':
      return withRun(room, setPhase(room.run, command.askingId, 'closed', nowMs));
    case 'reveal':
      return withRun(room, setPhase(room.run, command.askingId, 'revealed', nowMs));
    case 'ask':
      mustRun(room, 'A question can only be asked while the lesson is running.');
      return { ...room, run: askBeside(room.run, command.item, prepared, nowMs), aside: null, calls: NO_CALLS };
    case 'take-back':
      return withRun(room, withoutAsking(room.run, command.askingId));
    case 'aside': {
      mustRun(room, 'The hands can only be turned while the lesson is running.');
      mustBeGiven(command.aside, prepared);
      const run = command.aside === null && room.aside === null ? backToScript(room.run, nowMs) : room.run;
      return run === room.run && sameJson(room.aside, command.aside) ? room : { ...room, run, aside: command.aside };
    }
    case 'door': {
      const door = turnDoor(room.door, command.open, room.phase === 'running', nowMs);
      return sameJson(door, room.door) ? room : { ...room, door };
    }
    case 'door-admits':
      return room.door.admits === command.admits ? room : { ...room, door: { ...room.door, admits: command.admits } };
    case 'nudge':
      mustBeOpen(room, command.askingId, prepared);
      return withCalls(room, { nudged: command.askingId });
    case 'more-time': {
      mustBeOpen(room, command.askingId, prepared);
      const more = { askingId: command.askingId, fromMs: nowMs, untilMs: nowMs + command.minutes * 60_000 };
      return withCalls(room, { more });
    }
    case 'show-me':
      mustRun(room, 'Clocks can only be shown while the lesson is running.');
      return withCalls(room, { showMe: command.on });
    case 'pulse':
      mustRun(room, 'The class can only be asked while the lesson is running.');
      return withCalls(room, { pulse: command.on ? nowMs : null });
    case 'end':
    case 'silence': {
      if (room.phase === 'ended') return room;
      const endedBy = command.type === 'end' ? 'teacher' : 'silence';
      return { ...room, phase: 'ended', run: closeRun(room.run, nowMs), aside: null, calls: NO_CALLS, endedBy };
    }
  }
}

/** The question on the room's stage, or null. */
export function askingOfRoom(room: RoomState, prepared: PreparedLesson): Asking | null {
  return room.phase === 'running' ? currentAsking(room.run, prepared) : null;
}

function mustRun(room: RoomState, otherwise: string): void {
  if (room.phase !== 'running') throw new CoreError('ROOM_NOT_RUNNING', otherwise);
}

/** @throws CoreError QUESTION_NOT_OPEN */
function mustBeOpen(room: RoomState, askingId: string, prepared: PreparedLesson): void {
  const asking = askingOfRoom(room, prepared);
  if (asking?.id !== askingId || asking.phase !== 'open') throw new CoreError('QUESTION_NOT_OPEN', 'This question is not open any more.');
}

/** Only what can be given to a question is shown as somebody's answer. @throws CoreError RESPONSE_SHAPE */
function mustBeGiven(aside: Aside | null, { lesson }: PreparedLesson): void {
  if (aside?.shows?.kind !== 'answer') return;
  const { item, response } = aside.shows;
  if (!canBeGiven(item, response, lesson.settings))
    throw new CoreError('RESPONSE_SHAPE', 'This is no answer to the question that it is shown with.');
}

function withCalls(room: RoomState, change: Partial<Calls>): RoomState {
  const calls = { ...room.calls, ...change };
  return sameJson(calls, room.calls) ? room : { ...room, calls };
}

/** The room with its run moved on; a question that closes is waited for no longer. */
const withRun = (room: RoomState, run: Run): RoomState => (run === room.run ? room : { ...room, run, calls: withoutWaiting(room.calls) });
