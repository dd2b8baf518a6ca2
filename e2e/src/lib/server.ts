import { type ChildProcess, spawn } from 'node:child_process';
import { copyFileSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ServerHost } from './server-host.js';

const MAIN = join(import.meta.dirname, '../../../server/dist/main.js');

export interface TestServerOptions {
  /** Whether the demo school is there; otherwise it is a first start. */
  readonly demo: boolean;
  /** A database to begin with, copied. */
  readonly database?: string;
  /** A folder of one's own that stays; otherwise one that is removed in the end. */
  readonly dataDir?: string;
  /** A process that it shares with others one after the other; without one it has its own, and can be killed and started again. */
  readonly host?: ServerHost | null;
}

/** The real server on data in a folder of its own. */
export class TestServer {
  private child: ChildProcess | null = null;
  private endInHost: (() => Promise<void>) | null = null;
  private port = 0;
  readonly dataDir: string;

  constructor(private readonly options: TestServerOptions) {
    this.dataDir = options.dataDir ?? mkdtempSync(join(tmpdir(), 'zeitpunkt-e2e-'));
    mkdirSync(this.dataDir, { recursive: true });
    if (options.database) copyFileSync(options.database, join(this.dataDir, 'zeitpunkt.sqlite'));
  }

  get url(): string {
    return `http://localhost:${this.port}`;
  }

  /** Starts the server, on the same port as before if it ran already; resolves with what it printed. */
  async start(): Promise<string> {
    const args = ['--port', String(this.port), '--data', this.dataDir, ...(this.options.demo ? ['--demo'] : [])];
    const { host } = this.options;
    if (host) {
      ({ port: this.port, end: this.endInHost } = await host.open(args));
      return '';
    }
    const child = spawn(process.execPath, [MAIN, ...args], { stdio: ['ignore', 'pipe', 'pipe'] });
    this.child = child;
    let printed = '';
    return new Promise((resolve, reject) => {
      const read = (data: Buffer) => {
        printed += String(data);
        const port = /localhost:(\d+)/.exec(printed)?.[1];
        if (port && printed.includes('Ctrl+C')) {
          this.port = Number(port);
          resolve(printed);
        }
      };
      child.stdout.on('data', read);
      child.stderr.on('data', read);
      child.on('exit', (code) => reject(new Error(`The server ended with ${code}: ${printed}`)));
    });
  }

  /** Ends the server at once, as a power cut would. */
  kill(): Promise<number | null> {
    return this.signal('SIGKILL');
  }

  /** Ends the server in order; resolves with its exit code. */
  end(): Promise<number | null> {
    return this.signal('SIGTERM');
  }

  async stop(): Promise<void> {
    await this.endInHost?.();
    await this.kill();
    rmSync(this.dataDir, { recursive: true, force: true });
  }

  private async signal(signal: 'SIGKILL' | 'SIGTERM'): Promise<number | null> {
    const child = this.child;
    if (!child || child.exitCode !== null || child.signalCode !== null) return null;
    const gone = new Promise((resolve) => child.once('exit', resolve));
    child.kill(signal);
    await gone;
    return child.exitCode;
  }
}
