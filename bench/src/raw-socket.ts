import { connect, type Socket } from 'node:net';

const END_OF_HEAD = Buffer.from('\r\n\r\n');

/** The listening half of a web socket: text frames that are not split, as servers of ours send them. Source: RFC 6455, 5.2. */
export class RawSocket {
  private readonly socket: Socket;
  private received: Buffer = Buffer.alloc(0);
  private isOpen = false;
  private opened: () => void = () => undefined;
  private failed: (error: Error) => void = () => undefined;

  constructor(
    port: number,
    path: string,
    cookie: string,
    private readonly heard: (text: string) => void,
  ) {
    this.socket = connect({ port, host: '127.0.0.1', noDelay: true });
    const head = [
      `GET ${path} HTTP/1.1`,
      'host: 127.0.0.1',
      'upgrade: websocket',
      'connection: upgrade',
      'sec-websocket-version: 13',
      'sec-websocket-key: dGhlIHNhbXBsZSBub25jZQ==',
      ...(cookie ? [`cookie: ${cookie}`] : []),
    ];
    this.socket.write(`${head.join('\r\n')}\r\n\r\n`);
    this.socket.on('data', (data) => this.read(data));
    this.socket.on('error', (error) => this.failed(error));
  }

  /** Resolves when the first message has come. */
  open(): Promise<void> {
    return new Promise((resolve, reject) => {
      this.opened = resolve;
      this.failed = reject;
    });
  }

  private read(data: Buffer): void {
    this.received = this.received.length === 0 ? data : Buffer.concat([this.received, data]);
    if (!this.isOpen) {
      const end = this.received.indexOf(END_OF_HEAD);
      if (end < 0) return;
      const head = this.received.toString('latin1', 0, end);
      if (!head.startsWith('HTTP/1.1 101')) return this.failed(new Error(head));
      this.isOpen = true;
      this.received = this.received.subarray(end + 4);
    }
    for (let frame = this.frame(); frame; frame = this.frame()) {
      if (frame.opcode === 9) this.socket.write(Buffer.concat([Buffer.from([0x8a, 0x80, 0, 0, 0, 0])])); // pong, masked with zeros
      if (frame.opcode !== 1) continue;
      this.opened();
      this.heard(frame.text);
    }
  }

  /** The next whole frame, taken off what was received. */
  private frame(): { readonly opcode: number; readonly text: string } | null {
    const { received } = this;
    if (received.length < 2) return null;
    let [length, from] = [received[1]! & 0x7f, 2];
    if (length === 126) {
      if (received.length < 4) return null;
      [length, from] = [received.readUInt16BE(2), 4];
    } else if (length === 127) {
      if (received.length < 10) return null;
      [length, from] = [Number(received.readBigUInt64BE(2)), 10];
    }
    if (received.length < from + length) return null;
    const opcode = received[0]! & 0x0f;
    const text = opcode === 1 ? received.toString('utf8', from, from + length) : '';
    this.received = received.subarray(from + length);
    return { opcode, text };
  }
}
