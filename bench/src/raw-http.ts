import { once } from 'node:events';
import { connect, type Socket } from 'node:net';

const END_OF_HEAD = Buffer.from('\r\n\r\n');
const LENGTH = /content-length: (\d+)/i;

/** One keep-alive HTTP socket: a request at a time, of a reply no more than its status and its end. */
export class RawHttp {
  private readonly socket: Socket;
  private readonly waiting: { readonly bytes: Buffer; readonly done: (status: number) => void }[] = [];
  private received: Buffer = Buffer.alloc(0);

  constructor(port: number) {
    this.socket = connect({ port, host: '127.0.0.1', noDelay: true });
    this.socket.on('data', (data) => this.read(data));
    this.socket.on('close', () => {
      if (this.waiting.length > 0) throw new Error('The server closed a socket with an answer on its way.');
    });
  }

  async open(): Promise<void> {
    if (this.socket.connecting) await once(this.socket, 'connect');
  }

  static post(path: string, cookie: string, body: string): Buffer {
    const head = [
      `POST ${path} HTTP/1.1`,
      'host: 127.0.0.1',
      'content-type: application/json',
      `content-length: ${Buffer.byteLength(body)}`,
      ...(cookie ? [`cookie: ${cookie}`] : []),
    ];
    return Buffer.from(`${head.join('\r\n')}\r\n\r\n${body}`);
  }

  /** Sends a request, once those before it on this socket are answered. */
  send(bytes: Buffer, done: (status: number) => void): void {
    this.waiting.push({ bytes, done });
    if (this.waiting.length === 1) this.socket.write(bytes);
  }

  private read(data: Buffer): void {
    this.received = this.received.length === 0 ? data : Buffer.concat([this.received, data]);
    const end = this.received.indexOf(END_OF_HEAD);
    if (end < 0) return;
    const head = this.received.toString('latin1', 0, end);
    const length = end + 4 + Number(LENGTH.exec(head)?.[1] ?? 0);
    if (this.received.length < length) return;
    this.received = this.received.subarray(length);
    const { done } = this.waiting.shift()!;
    const next = this.waiting[0];
    if (next) this.socket.write(next.bytes);
    done(Number(head.slice(9, 12)));
  }
}
