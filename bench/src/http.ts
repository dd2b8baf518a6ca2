import { Agent, request } from 'node:http';

const agent = new Agent({ keepAlive: true, maxSockets: 1200 });

/** A small HTTP client for one server: it keeps cookies. */
export class Client {
  /** What the server has set, as it is sent back. */
  cookie = '';
  constructor(private readonly port: number) {}

  async send<Reply>(method: 'GET' | 'POST', path: string, body?: unknown): Promise<Reply> {
    const payload = body === undefined ? undefined : JSON.stringify(body);
    const text = (await this.bytes(method, path, payload)).toString();
    return (text ? JSON.parse(text) : undefined) as Reply;
  }

  /** Sends a file, as a teacher chooses one. */
  file(path: string, bytes: Buffer): Promise<Buffer> {
    return this.bytes('POST', path, bytes, 'application/octet-stream');
  }

  /** What a request is answered with, as it is. */
  bytes(method: 'GET' | 'POST', path: string, payload?: string | Buffer, type = 'application/json'): Promise<Buffer> {
    return new Promise((resolve, reject) => {
      const headers = {
        cookie: this.cookie,
        ...(payload ? { 'content-type': type, 'content-length': Buffer.byteLength(payload) } : {}),
      };
      const sent = request({ agent, host: '127.0.0.1', port: this.port, method, path, headers }, (reply) => {
        const set = reply.headers['set-cookie'];
        if (set) this.cookie = set.map((cookie) => cookie.split(';')[0]).join('; ');
        const chunks: Buffer[] = [];
        reply.on('data', (chunk: Buffer) => chunks.push(chunk));
        reply.on('end', () => {
          const whole = Buffer.concat(chunks);
          if ((reply.statusCode ?? 500) >= 300) reject(new Error(`${method} ${path}: ${reply.statusCode} ${whole.toString()}`));
          else resolve(whole);
        });
      });
      sent.on('error', reject);
      sent.end(payload);
    });
  }
}
