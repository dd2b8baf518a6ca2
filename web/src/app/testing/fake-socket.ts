/** A socket that the test holds in its hand. */
export class FakeSocket {
  static readonly OPEN = 1;
  static readonly CLOSED = 3;
  static all: FakeSocket[] = [];

  /** From now on pages open sockets of this kind; none is open yet. */
  static install(): void {
    FakeSocket.all = [];
    Object.assign(globalThis, { WebSocket: FakeSocket });
  }

  static get latest(): FakeSocket {
    return FakeSocket.all.at(-1)!;
  }

  readyState = 0;
  sent: string[] = [];
  onopen: () => void = () => undefined;
  onclose: () => void = () => undefined;
  onmessage: (event: { data: string }) => void = () => undefined;
  constructor(readonly url: URL) {
    FakeSocket.all.push(this);
  }
  send(text: string): void {
    this.sent.push(text);
  }
  close(): void {
    this.drop();
  }
  /** The server says something. */
  hear(message: unknown): void {
    this.onmessage({ data: JSON.stringify(message) });
  }
  accept(): void {
    this.readyState = FakeSocket.OPEN;
    this.onopen();
  }
  drop(): void {
    this.readyState = FakeSocket.CLOSED;
    this.onclose();
  }
}
