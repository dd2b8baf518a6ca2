import { CoreError } from '../errors.js';
import type { Aside } from '../lesson/aside.js';
import type { PreparedLesson } from '../lesson/prepare.js';

export type QuestionPhase = 'open' | 'closed' | 'revealed';

/**
 * A live room as it is stored: where the lesson stands and which questions are open. A question opens when its ask beat
 * is reached, closes when the lesson leaves it, and is revealed by its answer beat; a revealed question stays revealed.
 */
export interface RoomState {
  readonly phase: 'lobby' | 'running' | 'ended';
  /** Index into the prepared lesson's steps. */
  readonly step: number;
  /** When the step began, in milliseconds since 1970 by the server's clock. */
  readonly stepStartedAtMs: number;
  /** When the lesson began; null in the lobby. */
  readonly begunAtMs: number | null;
  /** By item id; an item that was never asked is absent. */
  readonly questions: Readonly<Record<string, QuestionPhase>>;
  /** What the teacher shows beside the script; null while the stage follows it. Every step of the script ends it. */
  readonly aside: Aside | null;
}

/** What a teacher may tell a room. `go` names its goal, so that a repeated command changes nothing. */
export type RoomCommand =
  | { readonly type: 'begin' }
  | { readonly type: 'go'; readonly toStep: number }
  | { readonly type: 'close'; readonly itemId: string }
  /** Leaves the script, or with null comes back to it. */
  | { readonly type: 'aside'; readonly aside: Aside | null }
  | { readonly type: 'end' };

export const NEW_ROOM: RoomState = { phase: 'lobby', step: 0, stepStartedAtMs: 0, begunAtMs: null, questions: {}, aside: null };

/**
 * The room after a command. Returns the same object when nothing changes.
 * @param nowMs the server's clock
 * @throws CoreError ROOM_POSITION_RANGE, ROOM_NOT_RUNNING, QUESTION_UNKNOWN
 */
export function applyCommand(room: RoomState, command: RoomCommand, lesson: PreparedLesson, nowMs: number): RoomState {
  switch (command.type) {
    case 'begin':
      if (room.phase === 'running') return room;
      if (room.phase === 'ended') throw new CoreError('ROOM_NOT_RUNNING', 'This lesson has ended; start it anew from the list of lessons.');
      return enterStep({ ...room, phase: 'running', begunAtMs: nowMs }, 0, lesson, nowMs);
    case 'go':
      if (room.phase !== 'running') throw new CoreError('ROOM_NOT_RUNNING', 'The lesson can only move on while it is running.');
      if (command.toStep < 0 || command.toStep >= lesson.steps.length) {
        throw new CoreError('ROOM_POSITION_RANGE', `The lesson has steps 0 to ${lesson.steps.length - 1}, but ${command.toStep} came.`);
      }
      return command.toStep === room.step ? room : enterStep(room, command.toStep, lesson, nowMs);
    case 'close': {
      const phase = room.questions[command.itemId];
      if (!phase) throw new CoreError('QUESTION_UNKNOWN', `The question “${command.itemId}” has not been asked in this room.`);
      return phase === 'open' ? withPhase(room, command.itemId, 'closed') : room;
    }
    case 'aside':
      if (room.phase !== 'running') throw new CoreError('ROOM_NOT_RUNNING', 'The hands can only be turned while the lesson is running.');
      return JSON.stringify(room.aside) === JSON.stringify(command.aside) ? room : { ...room, aside: command.aside };
    case 'end':
      return room.phase === 'ended' ? room : { ...closeAll(room), phase: 'ended', aside: null };
  }
}

/** The item that the room's current step is about, or null. */
export function currentItemId(room: RoomState, lesson: PreparedLesson): string | null {
  if (room.phase !== 'running') return null;
  const beat = lesson.steps[room.step]?.beat;
  return beat && 'itemId' in beat ? beat.itemId : null;
}

function enterStep(room: RoomState, step: number, lesson: PreparedLesson, nowMs: number): RoomState {
  const beat = lesson.steps[step]!.beat;
  const itemId = 'itemId' in beat ? beat.itemId : null;
  let next = closeAll(room, itemId);
  if (itemId !== null && next.questions[itemId] !== 'revealed') {
    if (beat.kind === 'answer') next = withPhase(next, itemId, 'revealed');
    // Coming back to an ask beat opens it again; think time leaves it as the teacher left it.
    else if (beat.kind === 'ask' || next.questions[itemId] === undefined) next = withPhase(next, itemId, 'open');
  }
  return { ...next, step, stepStartedAtMs: nowMs, aside: null };
}

function closeAll(room: RoomState, except: string | null = null): RoomState {
  const questions = Object.entries(room.questions).map(
    ([id, phase]) => [id, phase === 'open' && id !== except ? 'closed' : phase] as const,
  );
  return { ...room, questions: Object.fromEntries(questions) };
}

function withPhase(room: RoomState, itemId: string, phase: QuestionPhase): RoomState {
  return { ...room, questions: { ...room.questions, [itemId]: phase } };
}
