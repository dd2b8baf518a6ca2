import { Agent, request } from 'node:http';
import WebSocket from 'ws';

const agent = new Agent({ keepAlive: true, maxSockets: 1200 });

/** A small HTTP client for one server: it keeps cookies and lines open, and costs little itself. */
export class Client {
  private cookie = '';
  constructor(private readonly port: number) {}

  send<Reply>(method: 'GET' | 'POST', path: string, body?: unknown): Promise<Reply> {
    const payload = body === undefined ? undefined : JSON.stringify(body);
    return new Promise((resolve, reject) => {
      const headers = {
        cookie: this.cookie,
        ...(payload ? { 'content-type': 'application/json', 'content-length': Buffer.byteLength(payload) } : {}),
      };
      const sent = request({ agent, host: '127.0.0.1', port: this.port, method, path, headers }, (reply) => {
        const set = reply.headers['set-cookie'];
        if (set) this.cookie = set.map((cookie) => cookie.split(';')[0]).join('; ');
        const chunks: Buffer[] = [];
        reply.on('data', (chunk: Buffer) => chunks.push(chunk));
        reply.on('end', () => {
          const text = Buffer.concat(chunks).toString();
          if ((reply.statusCode ?? 500) >= 300) reject(new Error(`${method} ${path}: ${reply.statusCode} ${text}`));
          else resolve((text ? JSON.parse(text) : undefined) as Reply);
        });
      });
      sent.on('error', reject);
      sent.end(payload);
    });
  }

  /** Opens a socket; resolves when the first message has come. */
  async socket(path: string, heard: (text: string) => void): Promise<WebSocket> {
    const socket = new WebSocket(`ws://127.0.0.1:${this.port}${path}`, { headers: { cookie: this.cookie } });
    socket.on('message', (data) => heard(String(data)));
    await new Promise((resolve, reject) => socket.once('message', resolve).once('error', reject));
    return socket;
  }
}
