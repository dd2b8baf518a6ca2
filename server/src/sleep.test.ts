import { EventEmitter } from 'node:events';
import type { Server } from 'node:net';
import { handedOver } from './handed-over.js';
import { whenIdle } from './idle.js';

test('a socket is taken only where it was handed to this very process', () => {
  expect(handedOver({ LISTEN_PID: '7', LISTEN_FDS: '1' }, 7)).toEqual({ fd: 3 });
  expect(handedOver({ LISTEN_PID: '7', LISTEN_FDS: '1' }, 8)).toBeNull();
  expect(handedOver({ LISTEN_PID: '7', LISTEN_FDS: '0' }, 7)).toBeNull();
  expect(handedOver({}, 7)).toBeNull();
});

test('it ends once nobody had a line for the whole time, however short the last visit was', () => {
  jest.useFakeTimers();
  try {
    const server = new EventEmitter();
    const sleep = jest.fn();
    whenIdle(server as Server, 60_000, sleep);
    const [page, desk] = [new EventEmitter(), new EventEmitter()];
    server.emit('connection', page);
    server.emit('connection', desk);
    jest.advanceTimersByTime(600_000);
    page.emit('close');
    jest.advanceTimersByTime(600_000);
    expect(sleep).not.toHaveBeenCalled(); // the desk is still there
    desk.emit('close');
    jest.advanceTimersByTime(50_000);
    const other = new EventEmitter();
    server.emit('connection', other);
    other.emit('close');
    jest.advanceTimersByTime(50_000);
    expect(sleep).not.toHaveBeenCalled();
    jest.advanceTimersByTime(20_000);
    expect(sleep).toHaveBeenCalledTimes(1);
    jest.advanceTimersByTime(600_000);
    expect(sleep).toHaveBeenCalledTimes(1);
  } finally {
    jest.useRealTimers();
  }
});
