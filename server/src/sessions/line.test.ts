import { PassThrough } from 'node:stream';
import type { WebSocket } from 'ws';
import { Line } from './line.js';

/** A socket whose other side reads only when told to. */
class SlowSocket {
  readonly sent: string[] = [];
  private readonly waiting: (() => void)[] = [];
  get bufferedAmount(): number {
    return this.sent.slice(-this.waiting.length || this.sent.length).reduce((sum, text) => sum + text.length, 0);
  }
  send(text: string, done: () => void): void {
    this.sent.push(text);
    this.waiting.push(done);
  }
  /** The other side reads all that is on its way. */
  read(): void {
    for (const done of this.waiting.splice(0)) done();
  }
}

let socket: SlowSocket;
let version: number;
let line: Line;
beforeEach(() => {
  socket = new SlowSocket();
  version = 0;
  line = new Line(socket as unknown as WebSocket, new PassThrough(), () => `state ${version}`);
});
const nextTurn = () => new Promise((resolve) => setImmediate(resolve));

test('however often the state is asked for or changes, one is on its way and the next is as it is by then', () => {
  for (version = 1; version <= 1000; version++) line.show();
  expect(socket.sent).toEqual(['state 1']);
  socket.read();
  expect(socket.sent).toEqual(['state 1', 'state 1001']);
  socket.read();
  expect(socket.sent).toHaveLength(2);
});

test('events go out in order; a window that does not read gets the state later instead of more and more of them', async () => {
  for (const event of ['a', 'b']) line.tell(event);
  await nextTurn();
  expect(socket.sent).toEqual(['a', 'b']);
  for (let event = 0; event < 2000; event++) {
    line.tell('x'.repeat(1000));
    await nextTurn();
  }
  expect(socket.bufferedAmount).toBeLessThan(600_000);
  version = 7;
  socket.read();
  expect(socket.sent.at(-1)).toBe('state 7');
  socket.read();
  line.tell('c');
  await nextTurn();
  expect(socket.sent.at(-1)).toBe('c');
});

test('what is asked for behind events comes after them', async () => {
  line.tell('a');
  line.show();
  await nextTurn();
  expect(socket.sent).toEqual(['a']);
  socket.read();
  expect(socket.sent).toEqual(['a', 'state 0']);
});
