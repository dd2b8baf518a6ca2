import type { TeacherMessage } from '@zeitpunkt/contract';
import { responseOf, sessionDetail } from '../testing/session';
import { latestByPupil, liveActions, liveFeature, type LiveState } from './live';

const { reducer } = liveFeature;
const loaded = reducer(undefined, liveActions.loaded({ detail: sessionDetail(), atMs: 500 }));
const hear = (state: LiveState, ...messages: TeacherMessage[]) =>
  messages.reduce((now, message) => reducer(now, liveActions.message({ message, atMs: 1000 })), state);
const go = (toStep: number) =>
  liveActions.command({ sessionId: 'session', commandId: `c${toStep}`, command: { type: 'go', toStep }, atMs: 2000 });
const roomAt = (step: number, seq: number): Extract<TeacherMessage, { type: 'room' }> => ({
  type: 'room',
  seq,
  nowMs: 900,
  room: { ...sessionDetail().live.room, step },
});
const response = (seq: number, name: string): TeacherMessage => ({ type: 'response', seq, response: responseOf(name, 'q1') });

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
  const participant = { id: 'in-Dov', pupilId: 'pupil-Dov', name: 'Dov', joinedAtMs: 0, online: true };
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

test('a command shows before the server has answered, in the server’s time', () => {
  const skewed = { ...loaded, clockSkewMs: 300 };
  expect(reducer(skewed, go(2)).detail!.live.room).toMatchObject({ step: 2, stepStartedAtMs: 1700, questions: { q1: 'revealed' } });
});

test('two quick steps do not jump back when the answer to the first one comes', () => {
  let state = reducer(reducer(loaded, go(2)), go(3));
  state = hear(state, roomAt(2, 1));
  expect(state.detail!.live).toMatchObject({ seq: 1, room: { step: 3 } });
  state = reducer(state, liveActions.commandDone({ done: roomAt(2, 1) }));
  state = hear(state, roomAt(3, 2));
  state = reducer(state, liveActions.commandDone({ done: roomAt(3, 2) }));
  expect(state).toMatchObject({ pending: 0, detail: { live: { seq: 2, room: { step: 3 } } } });
});

test('a command that the room refuses leaves the room as it is and keeps the sentence', () => {
  const state = reducer(reducer(loaded, go(99)), liveActions.commandFailed({ problem: 'No such step.' }));
  expect(state).toMatchObject({ pending: 0, problem: 'No such step.', detail: { live: { room: { step: 1 } } } });
});

test('of several attempts the latest counts', () => {
  const latest = latestByPupil(
    [responseOf('Anouk', 'q1', [], 2), responseOf('Anouk', 'q1', ['coming-hour'], 1), responseOf('Bashir', 'q2')],
    'q1',
  );
  expect([...latest].map(([pupilId, { attempt }]) => [pupilId, attempt])).toEqual([['pupil-Anouk', 2]]);
});
