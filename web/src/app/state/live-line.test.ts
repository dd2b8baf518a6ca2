import { TestBed } from '@angular/core/testing';
import { FakeSocket } from '../testing/fake-socket';
import { sessionDetail } from '../testing/session';
import { LiveLine } from './live-line';
import { RoomPort } from './room-port';

test('the line of a lesson is left when it has ended, and by no other message', () => {
  FakeSocket.install();
  const said: string[] = [];
  let isOver = false;
  TestBed.inject(LiveLine)
    .listen('/ws/session')
    .subscribe({ next: ({ type }) => said.push(type), complete: () => (isOver = true) });
  const socket = FakeSocket.latest;
  socket.accept();
  const { live } = sessionDetail();
  socket.hear({ type: 'presence', participantId: '0b6f6a52-8d0c-4f0a-9d3a-2f6f3c1c9d10', online: false });
  socket.hear({ type: 'room', seq: 2, nowMs: 900, room: live.room });
  expect(isOver).toBe(false);
  socket.hear({ type: 'room', seq: 3, nowMs: 950, room: { ...live.room, phase: 'ended' } });
  expect(isOver).toBe(true);
  expect(said.filter((type) => type.includes('Message'))).toHaveLength(3);
  expect(socket.readyState).toBe(FakeSocket.CLOSED);
});

test('what stands in for a room is taken away by whoever put it there, not by one before', async () => {
  const port = TestBed.inject(RoomPort);
  const first = port.standInFor('one', () => ({ seq: 1 }) as never);
  port.standInFor('two', () => ({ seq: 2 }) as never);
  first();
  expect(await port.tell('two', 'c', { type: 'end' })).toEqual({ seq: 2 });
});
