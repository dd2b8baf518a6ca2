import type { TeacherMessage } from '@zeitpunkt/contract';
import { responseOf, sessionDetail, stepOf, withRun } from '../testing/session';
import { liveActions, liveFeature, type LiveState } from './live';

const { reducer } = liveFeature;
const loaded = reducer(undefined, liveActions.loaded({ detail: sessionDetail(), atMs: 500 }));
const hear = (state: LiveState, ...messages: TeacherMessage[]) =>
  messages.reduce((now, message) => reducer(now, liveActions.message({ message, atMs: 1000 })), state);
const go = (beat: number) =>
  liveActions.command({ sessionId: 'session', commandId: `c${beat}`, command: { type: 'go', to: stepOf(beat) }, atMs: 2000 });
const roomAt = (beat: number, seq: number): Extract<TeacherMessage, { type: 'room' }> => ({
  type: 'room',
  seq,
  nowMs: 900,
  room: withRun({ at: stepOf(beat) }).live.room,
});
const response = (seq: number, name: string): TeacherMessage => ({ type: 'response', seq, response: responseOf(name, 'q1') });

test('before anything has come nothing is shown as if it were there', () => {
  const start = reducer(undefined, { type: 'start' });
  const opened = reducer(start, liveActions.open({ sessionId: 'session', window: 'console' }));
  expect(reducer(opened, go(3))).toBe(opened); // a key that was quicker than the lesson
  expect(start).toMatchObject({ detail: null, lineOpen: false, missed: false, outdated: false, pending: 0, problem: null });
});

test('events that follow each other are taken in; one heard twice counts once', () => {
  const state = hear(loaded, response(1, 'Anouk'), response(2, 'Bashir'), response(2, 'Bashir'));
  expect(state.detail!.live).toMatchObject({ seq: 2, responses: [{ pupilId: 'pupil-Anouk' }, { pupilId: 'pupil-Bashir' }] });
  expect(state.missed).toBe(false);
});

test('a gap is noticed, nothing is guessed, and the whole state mends it', () => {
  const gap = hear(loaded, response(1, 'Anouk'), response(3, 'Ceri'));
  expect(gap).toMatchObject({ missed: true, detail: { live: { seq: 1 } } });
  const mended = hear(gap, { type: 'state', live: { ...sessionDetail().live, seq: 3 } });
  expect(mended).toMatchObject({ missed: false, clockSkewMs: 1000, detail: { live: { seq: 3 } } });
});

test('presence, joining and leaving show at once', () => {
  const participant = { id: 'in-Dov', pupilId: 'pupil-Dov', name: 'Dov', joinedAtMs: 0, online: true, waits: true, newcomer: false };
  const state = hear(
    loaded,
    { type: 'joined', seq: 1, participant },
    { type: 'presence', participantId: 'in-Anouk', online: false },
    { type: 'released', seq: 2, participantId: 'in-Bashir' },
  );
  expect(state.detail!.live.participants.map(({ name, online }) => [name, online])).toEqual([
    ['Anouk', false],
    ['Ceri', true],
    ['Dov', true],
  ]);
});

test('who was let in, what counts, and what goes on outside the door show at once', () => {
  const late = { ...responseOf('Anouk', 'q1'), late: { givenAtMs: 1, closedAtMs: 2, counted: false } };
  const outside = { knocks: [{ id: 'knock', atMs: 3 }], wrongKeys: 4 };
  const { live } = hear(
    loaded,
    {
      type: 'joined',
      seq: 1,
      participant: { id: 'in-Dov', pupilId: 'pupil-Dov', name: 'Dov', joinedAtMs: 0, online: true, waits: true, newcomer: false },
    },
    { type: 'let-in', seq: 2, participantId: 'in-Dov' },
    { type: 'response', seq: 3, response: late },
    { type: 'outside', outside },
    { type: 'counted', seq: 4, responseId: late.id, counted: true },
  ).detail!;
  expect(live).toMatchObject({ seq: 4, outside, responses: [{ late: { counted: true } }] });
  expect(live.participants.at(-1)).toMatchObject({ name: 'Dov', waits: false, newcomer: false });
});

test('who was ready is forgotten with another pulse, and what was shown when dials are no longer called for', () => {
  const [{ room }, passing] = [
    sessionDetail().live,
    { ready: [{ participantId: 'in-Anouk', ready: true }], shown: [{ participantId: 'in-Ceri', pose: { hourDeg: 90, minuteDeg: 180 } }] },
  ];
  const shown = { ...room, calls: { ...room.calls, pulse: 1, showMe: true } };
  const there = hear(loaded, { type: 'state', live: { ...sessionDetail().live, room: shown, passing } });
  const after = (calls: Partial<typeof shown.calls>) =>
    hear(there, { type: 'room', seq: 1, nowMs: 900, room: { ...shown, calls: { ...shown.calls, ...calls } } }).detail!.live.passing;
  expect(after({})).toEqual(passing);
  expect(after({ pulse: 2 })).toEqual({ ...passing, ready: [] });
  expect(after({ showMe: false })).toEqual({ ...passing, shown: [] });
});

test('the audience window hears of rooms only, and misses nothing between them', () => {
  const opened = reducer(undefined, liveActions.open({ sessionId: 'session', window: 'audience' }));
  const state = hear(reducer(opened, liveActions.loaded({ detail: sessionDetail(), atMs: 500 })), roomAt(3, 7));
  expect(state).toMatchObject({ missed: false, detail: { live: { seq: 7, room: { run: { at: stepOf(3) } } } } });
});

test('a command shows before the server has answered, in the server’s time', () => {
  const skewed = { ...loaded, clockSkewMs: 300 };
  expect(reducer(skewed, go(3)).detail!.live.room.run).toMatchObject({
    at: stepOf(3),
    enteredAtMs: 1700,
    askings: [{ id: 'q1', phase: 'revealed' }],
  });
});

test('two quick steps do not jump back when the answer to the first one comes', () => {
  let state = reducer(reducer(loaded, go(3)), go(4));
  state = hear(state, roomAt(3, 1));
  expect(state.detail!.live).toMatchObject({ seq: 1, room: { run: { at: stepOf(4) } } });
  state = reducer(state, liveActions.commandDone({ sessionId: 'session', done: roomAt(3, 1) }));
  state = hear(state, roomAt(4, 2));
  state = reducer(state, liveActions.commandDone({ sessionId: 'session', done: roomAt(4, 2) }));
  expect(state).toMatchObject({ pending: 0, detail: { live: { seq: 2, room: { run: { at: stepOf(4) } } } } });
});

test('what is heard late of an earlier step does not jump back either, nor hide what another window did', () => {
  let state = reducer(reducer(loaded, go(3)), go(4));
  state = reducer(state, liveActions.commandDone({ sessionId: 'session', done: roomAt(3, 1) }));
  state = hear(state, roomAt(3, 1)); // the answer was quicker than the event
  expect(state.detail!.live.room.run.at).toEqual(stepOf(4));
  state = hear(state, roomAt(4, 2), roomAt(1, 3)); // the audience window has gone back meanwhile
  expect(state.detail!.live.room.run.at).toEqual(stepOf(4));
  state = reducer(state, liveActions.commandDone({ sessionId: 'session', done: roomAt(4, 2) }));
  expect(state.detail!.live.room.run.at).toEqual(stepOf(1));
});

test('an event that is slower than the answers to two steps changes nothing', () => {
  let state = reducer(loaded, go(3));
  state = reducer(state, liveActions.commandDone({ sessionId: 'session', done: roomAt(3, 1) }));
  state = reducer(state, go(4));
  state = reducer(state, liveActions.commandDone({ sessionId: 'session', done: roomAt(4, 2) }));
  for (const [beat, seq] of [
    [3, 1],
    [4, 2],
  ] as const) {
    state = hear(state, roomAt(beat, seq));
    expect(state.detail!.live).toMatchObject({ seq, room: { run: { at: stepOf(4) } } });
  }
});

test('a server that was started again counts from 0: what it tells is shown, not what was heard before', () => {
  const before = hear(loaded, roomAt(4, 1), roomAt(5, 2), roomAt(6, 3));
  const { live } = loaded.detail!;
  const again = hear(before, { type: 'state', live: { ...live, seq: 0, room: before.detail!.live.room } }, roomAt(7, 1));
  expect(again.detail!.live).toMatchObject({ seq: 1, room: { run: { at: stepOf(7) } } });
});

test('the whole state does not jump back over a step on its way', () => {
  const { live } = loaded.detail!;
  const state = hear(reducer(loaded, go(3)), { type: 'state', live });
  expect(state.detail!.live.room.run.at).toEqual(stepOf(3));
  const refused = reducer(state, liveActions.commandFailed({ sessionId: 'session', problem: 'No.' }));
  expect(refused.detail!.live.room).toEqual(live.room);
});

test('a room is shown at once though an event before it was missed, which is then asked for', () => {
  const state = hear(loaded, roomAt(5, 4));
  expect(state).toMatchObject({ missed: true, detail: { live: { seq: 0, room: { run: { at: stepOf(5) } } } } });
});

test('an answer that comes for a room that was left changes nothing in the next one', () => {
  const left = reducer(reducer(loaded, go(3)), liveActions.close());
  const other = { ...sessionDetail(), id: 'other' };
  const opened = reducer(left, liveActions.open({ sessionId: 'other', window: 'console' }));
  const before = reducer(opened, liveActions.loaded({ detail: other, atMs: 500 }));
  const { room } = withRun({ at: stepOf(3) }).live;
  const answers = [
    liveActions.commandDone({ sessionId: 'session', done: { seq: 40, nowMs: 900, room } }),
    liveActions.commandFailed({ sessionId: 'session', problem: 'Of another room.' }),
    liveActions.failed({ sessionId: 'session', problem: 'Of another room.' }),
  ];
  for (const one of [opened, before]) expect(answers.reduce(reducer, one)).toEqual(one);
  expect(hear(answers.reduce(reducer, before), roomAt(1, 1)).detail!.live.room.run.at).toEqual(stepOf(1));
});

test('a room that is loaded without being opened, as a second rehearsal is, begins anew', () => {
  const heard = hear(reducer(loaded, go(2)), roomAt(5, 24));
  const again = reducer(heard, liveActions.loaded({ detail: { ...sessionDetail(), id: 'again' }, atMs: 900 }));
  expect(again).toMatchObject({ sessionId: 'again', heard: null, pending: 0, missed: false });
});

test('only what the core refuses is left to the server’s sentence; a fault of this page is not swallowed', () => {
  const broken = { ...go(2), command: { type: 'go' } as never };
  expect(() => reducer(loaded, broken)).toThrow(TypeError);
});

test('a command that the room refuses leaves the room as it is and keeps the sentence', () => {
  const state = reducer(reducer(loaded, go(99)), liveActions.commandFailed({ sessionId: 'session', problem: 'No such step.' }));
  expect(state).toMatchObject({ pending: 0, problem: 'No such step.', detail: { live: { room: { run: { at: stepOf(2) } } } } });
});

test('a class that changes takes names and answers of those who left along', () => {
  const before = hear(loaded, response(1, 'Anouk'), response(2, 'Bashir'));
  const [anouk, , ceri] = before.detail!.live.participants;
  const pupils = [
    { id: 'pupil-Anouk', name: 'Anouk L' },
    { id: 'pupil-Ceri', name: 'Ceri' },
  ];
  const participants = [{ ...anouk!, name: 'Anouk L' }, ceri!];
  const { detail } = hear(before, { type: 'roster', seq: 3, pupils, participants });
  expect(detail).toMatchObject({ pupils, live: { seq: 3, participants, responses: [{ pupilId: 'pupil-Anouk' }] } });
});
