import { createActionGroup, createFeature, createReducer, createSelector, emptyProps, on, props } from '@ngrx/store';
import { CoreError } from '@zeitpunkt/core/errors';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import { prepareLesson, type PreparedLesson } from '@zeitpunkt/core/lesson/prepare';
import { type RoomCommand, type RoomState, applyCommand, askingOfRoom } from '@zeitpunkt/core/live/room';
import type { CommandDone, Passing, SessionDetail, TeacherMessage } from '@zeitpunkt/contract';
import { withCounted } from '../shared/late';

export type TeacherWindow = 'console' | 'audience';

/** The live session that this window shows. */
export interface LiveState {
  /** Of the room that this window shows or is about to show; what concerns another one is not taken in. */
  readonly sessionId: string | null;
  readonly detail: SessionDetail | null;
  readonly window: TeacherWindow;
  /** This window's clock minus the server's, in milliseconds. */
  readonly clockSkewMs: number;
  readonly lineOpen: boolean;
  /** Set when an event was missed, until the whole state has come. */
  readonly missed: boolean;
  /** Commands on their way. While one is, what is foreseen is shown and no older room: that would jump back. */
  readonly pending: number;
  /** The newest room that was heard of, with its number; shown once no command is on its way. */
  readonly heard: { readonly seq: number; readonly room: RoomState } | null;
  /** The server serves another build than this page is of. */
  readonly outdated: boolean;
  readonly problem: string | null;
}

/** What a teacher does in a room beside steering the lesson. */
export type RoomAct =
  | { readonly type: 'send-out'; readonly participantId: string }
  | { readonly type: 'rename'; readonly classId: string; readonly pupilId: string; readonly name: string }
  | { readonly type: 'let-in'; readonly participantIds: readonly string[] }
  | { readonly type: 'open-to'; readonly knockId: string }
  | { readonly type: 'count'; readonly responseId: string; readonly counted: boolean };

export const liveActions = createActionGroup({
  source: 'Live',
  events: {
    Open: props<{ sessionId: string; window: TeacherWindow }>(),
    Loaded: props<{ detail: SessionDetail; atMs: number }>(),
    Message: props<{ message: TeacherMessage; atMs: number }>(),
    Line: props<{ open: boolean }>(),
    Outdated: emptyProps(),
    Command: props<{ sessionId: string; commandId: string; command: RoomCommand; atMs: number }>(),
    'Command done': props<{ sessionId: string; done: CommandDone }>(),
    'Command failed': props<{ sessionId: string; problem: string }>(),
    /** Something else that is done in the room: the server tells every window what came of it. */
    Act: props<{ sessionId: string; act: RoomAct }>(),
    Failed: props<{ sessionId: string; problem: string }>(),
    Close: emptyProps(),
  },
});

const start: LiveState = {
  sessionId: null,
  detail: null,
  window: 'console',
  clockSkewMs: 0,
  lineOpen: false,
  missed: false,
  pending: 0,
  heard: null,
  outdated: false,
  problem: null,
};

function withLive(state: LiveState, change: Partial<SessionDetail['live']>): LiveState {
  if (!state.detail) return state;
  const { live } = state.detail;
  const passing = change.passing ?? (change.room ? passingAfter(live, change.room) : live.passing);
  return { ...state, detail: { ...state.detail, live: { ...live, ...change, passing } } };
}

/** What was shown in passing belongs to what was called for: another pulse, or dials no longer shown, forget it. */
function passingAfter({ room, passing }: SessionDetail['live'], { calls }: RoomState): Passing {
  const [samePulse, stillShown] = [calls.pulse === room.calls.pulse, calls.showMe];
  if (samePulse && stillShown === room.calls.showMe) return passing;
  return { ready: samePulse ? passing.ready : [], shown: stillShown ? passing.shown : [] };
}

/**
 * The state after a room was told, by an event or by the answer to a command: either may be the quicker one, so the newest
 * counts, and none is shown over what is foreseen.
 */
function withNewestRoom(state: LiveState, { seq, room }: { readonly seq: number; readonly room: RoomState }): LiveState {
  const heard = state.heard && state.heard.seq > seq ? state.heard : { seq, room };
  return { ...(state.pending > 0 ? state : withLive(state, { room: heard.room })), heard };
}

/** The state after a message. An event that does not follow the last one says that some were missed. */
function receive(state: LiveState, message: TeacherMessage, atMs: number): LiveState {
  const live = state.detail?.live;
  if (!live) return state;
  if (message.type === 'state') {
    const { room, seq, nowMs, ...rest } = message.live;
    // The whole state starts the counting anew: a server that was started again counts from 0.
    const anew = { ...withLive(state, { ...rest, seq, nowMs }), heard: null, clockSkewMs: atMs - nowMs, missed: false };
    // What is shown in passing belongs to the room that came with it, whatever was called for before.
    return withLive(withNewestRoom(anew, { seq, room }), { passing: rest.passing });
  }
  if (message.type === 'hello') return state; // the line's own
  if (message.type === 'problem') return { ...state, problem: message.detail };
  if (message.type === 'presence') {
    const participants = live.participants.map((one) => (one.id === message.participantId ? { ...one, online: message.online } : one));
    return withLive(state, { participants });
  }
  if (message.type === 'outside') return withLive(state, { outside: message.outside });
  if (message.type === 'ready' || message.type === 'shown') return withLive(state, { passing: withPassing(live.passing, message) });
  if (message.seq <= live.seq) return state;
  // The audience window is told rooms only, and a room is whole: between two of them it misses nothing.
  if (message.seq > live.seq + 1 && state.window === 'console') {
    return { ...(message.type === 'room' ? withNewestRoom(state, message) : state), missed: true };
  }
  switch (message.type) {
    case 'room':
      return {
        ...withNewestRoom(withLive(state, { seq: message.seq }), message),
        clockSkewMs: atMs - message.nowMs,
      };
    case 'joined':
      return withLive(state, { seq: message.seq, participants: [...live.participants, message.participant] });
    case 'released':
      return withLive(state, { seq: message.seq, participants: live.participants.filter((one) => one.id !== message.participantId) });
    case 'roster': {
      const { seq, pupils, participants } = message;
      const present = new Set(pupils.map(({ id }) => id));
      const responses = live.responses.filter(({ pupilId }) => present.has(pupilId));
      const renewed = withLive(state, { seq, participants, responses });
      return { ...renewed, detail: renewed.detail && { ...renewed.detail, pupils } };
    }
    case 'let-in':
      return withLive(state, {
        seq: message.seq,
        participants: live.participants.map((one) => (one.id === message.participantId ? { ...one, waits: false } : one)),
      });
    case 'counted':
      return withLive(state, { seq: message.seq, responses: live.responses.map((one) => withCounted(one, message)) });
    case 'corrected': {
      const { seq, response } = message;
      return withLive(state, { seq, responses: live.responses.map((one) => (one.id === response.id ? response : one)) });
    }
    case 'response':
      return withLive(state, { seq: message.seq, responses: [...live.responses, message.response] });
  }
}

/** What pupils show in passing, after one more has: each pupil's latest. */
function withPassing(passing: Passing, message: Extract<TeacherMessage, { readonly type: 'ready' | 'shown' }>): Passing {
  const others = <T extends { readonly participantId: string }>(all: readonly T[]) =>
    all.filter(({ participantId }) => participantId !== message.participantId);
  const { participantId } = message;
  return message.type === 'ready'
    ? { ...passing, ready: [...others(passing.ready), { participantId, ready: message.ready }] }
    : { ...passing, shown: [...others(passing.shown), { participantId, pose: message.pose }] };
}

const prepared = new WeakMap<Lesson, PreparedLesson>();

/** A lesson made ready once: every key and every window state asks for it again. */
function preparedOf(lesson: Lesson): PreparedLesson {
  let ready = prepared.get(lesson);
  if (!ready) prepared.set(lesson, (ready = prepareLesson(lesson)));
  return ready;
}

/** Shows at once what a command will do; the server's answer then confirms or corrects it. */
function foresee(state: LiveState, command: RoomCommand, atMs: number): LiveState {
  if (!state.detail) return state;
  try {
    const room = applyCommand(state.detail.live.room, command, preparedOf(state.detail.lesson), atMs - state.clockSkewMs);
    return withLive({ ...state, problem: null, pending: state.pending + 1 }, { room });
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    return { ...state, pending: state.pending + 1 }; // not allowed here: the server's sentence will say why
  }
}

/** What concerns the room that this window shows; an answer that comes for one that was left changes nothing. */
function ofThisRoom<Told extends { readonly sessionId: string }>(reduce: (state: LiveState, told: Told) => LiveState) {
  return (state: LiveState, told: Told): LiveState => (told.sessionId === state.sessionId ? reduce(state, told) : state);
}

export const liveFeature = createFeature({
  name: 'live',
  reducer: createReducer(
    start,
    on(liveActions.open, (_, { sessionId, window }): LiveState => ({ ...start, sessionId, window })),
    // A room that is loaded begins anew: nothing that was heard of another one counts. A rehearsal is loaded without being opened.
    on(liveActions.loaded, ({ window, lineOpen, outdated }, { detail, atMs }): LiveState => ({
      ...start,
      window,
      lineOpen,
      outdated,
      sessionId: detail.id,
      detail,
      clockSkewMs: atMs - detail.live.nowMs,
    })),
    on(liveActions.message, (state, { message, atMs }) => receive(state, message, atMs)),
    on(liveActions.line, (state, { open }): LiveState => ({ ...state, lineOpen: open })),
    on(liveActions.outdated, (state): LiveState => ({ ...state, outdated: true })),
    on(
      liveActions.command,
      ofThisRoom((state, { command, atMs }) => foresee(state, command, atMs)),
    ),
    on(
      liveActions.commandDone,
      ofThisRoom((state, { done }) => withNewestRoom({ ...state, pending: state.pending - 1 }, done)),
    ),
    on(
      liveActions.commandFailed,
      ofThisRoom((state, { problem }) => {
        const settled = { ...state, pending: state.pending - 1, problem };
        return state.heard ? withNewestRoom(settled, state.heard) : settled;
      }),
    ),
    on(
      liveActions.failed,
      ofThisRoom((state, { problem }): LiveState => ({ ...state, problem })),
    ),
    on(liveActions.close, (): LiveState => start),
  ),
  extraSelectors: ({ selectDetail }) => {
    const selectLesson = createSelector(selectDetail, (detail) => detail?.lesson);
    const selectPrepared = createSelector(selectLesson, (lesson) => lesson && preparedOf(lesson));
    const selectAsking = createSelector(selectDetail, selectPrepared, (detail, prepared) =>
      detail && prepared ? askingOfRoom(detail.live.room, prepared) : null,
    );
    return { selectPrepared, selectAsking };
  },
});
