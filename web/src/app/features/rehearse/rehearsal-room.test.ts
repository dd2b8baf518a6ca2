import type { MarkedResponse } from '@zeitpunkt/contract';
import { type RoomCommand, askingOfRoom } from '@zeitpunkt/core/live/room';
import { sessionDetail, stepOf } from '../../testing/session';
import { RehearsalRoom } from './rehearsal-room';

const lesson = { id: 'lesson', revision: 1, lesson: sessionDetail().lesson };
const go = (beat: number): RoomCommand => ({ type: 'go', to: stepOf(beat) });
let given: MarkedResponse[];
const begun = (seed: number) => {
  given = [];
  const room = new RehearsalRoom(lesson, seed, (seq, response) => {
    expect(seq).toBe(given.length + 1); // as a server counts, without a gap
    given.push(response);
  });
  room.carryOut({ type: 'begin' });
  return room;
};
beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test('simulated pupils answer each once, one after another, some right and some by an idea; seeded alike they are alike', () => {
  const room = begun(7);
  jest.advanceTimersByTime(60_000);
  expect(given).toEqual([]); // nothing was asked yet
  room.carryOut(go(2));
  jest.advanceTimersByTime(8000);
  expect(given.length).toBeGreaterThan(0);
  expect(given.length).toBeLessThan(24);
  jest.advanceTimersByTime(120_000);
  expect(new Set(given.map(({ pupilId }) => pupilId)).size).toBe(24);
  const verdicts = new Set(given.map(({ mark }) => mark.verdict));
  expect(verdicts.size).toBeGreaterThan(1);
  expect(verdicts).toContain('right');
  const first = given.map(({ pupilId, response }) => [pupilId, response]);
  const again = begun(7);
  again.carryOut(go(2));
  jest.advanceTimersByTime(120_000);
  expect(given.map(({ pupilId, response }) => [pupilId, response])).toEqual(first);
});

test('who has not finished when the answer is shown gives none, and a room that is left goes quiet', () => {
  const room = begun(3);
  room.carryOut(go(2));
  jest.advanceTimersByTime(8000);
  const intime = given.length;
  const { room: after } = room.carryOut(go(3));
  expect(askingOfRoom(after, room.prepared)).toMatchObject({ id: 'q1', phase: 'revealed' });
  jest.advanceTimersByTime(120_000);
  expect(given).toHaveLength(intime);
  room.carryOut(go(4));
  room.close();
  jest.advanceTimersByTime(120_000);
  expect(given).toHaveLength(intime);
});
