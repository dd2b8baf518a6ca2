import { type ChildProcess, spawn } from 'node:child_process';
import { copyFileSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { TEMPLATE_DATABASE } from './template.js';

const MAIN = join(import.meta.dirname, '../../../server/dist/main.js');

/** A school as its technician runs it, by options and environment; what it prints is kept. */
export class OwnSchool {
  readonly folder = mkdtempSync(join(tmpdir(), 'zeitpunkt-school-'));
  readonly dataDir = join(this.folder, 'data');
  printed = '';
  private child: ChildProcess | null = null;
  private isOver = false;

  /** @param hasDemo whether the demo school is there; otherwise it is a first start */
  constructor(hasDemo: boolean) {
    mkdirSync(this.dataDir);
    if (hasDemo) copyFileSync(TEMPLATE_DATABASE, join(this.dataDir, 'zeitpunkt.sqlite'));
  }

  /** Starts it, and waits until it says that it runs. */
  async start(...args: readonly string[]): Promise<void> {
    this.run(process.execPath, [MAIN, '--data', this.dataDir, ...args]);
    await this.says('Ctrl+C');
  }

  /**
   * Has it begin with the first request to a socket, and again after it has ended. systemd itself holds the socket all the while;
   * here it is opened anew, and “Listening on” is said when it is.
   */
  onSocket(socket: string, settings: Readonly<Record<string, string>>): void {
    const env = { ...settings, ZEITPUNKT_DATA: this.dataDir };
    const given = Object.entries(env).flatMap(([name, value]) => ['-E', `${name}=${value}`]);
    const begin = () => {
      if (this.isOver) return;
      rmSync(socket, { force: true });
      this.run('/usr/bin/systemd-socket-activate', ['-l', socket, ...given, process.execPath, MAIN]);
      this.child!.once('exit', begin);
    };
    begin();
  }

  /** How often it has said something. */
  count(text: string): number {
    return this.printed.split(text).length - 1;
  }

  async stop(): Promise<void> {
    this.isOver = true;
    const { child } = this;
    if (child && child.exitCode === null && child.signalCode === null) {
      const gone = new Promise((resolve) => child.once('exit', resolve));
      child.kill('SIGKILL');
      await gone;
    }
    rmSync(this.folder, { recursive: true, force: true });
  }

  private run(command: string, args: readonly string[]): void {
    this.child = spawn(command, args, { stdio: ['ignore', 'pipe', 'pipe'] });
    for (const stream of [this.child.stdout!, this.child.stderr!]) stream.on('data', (data: Buffer) => (this.printed += String(data)));
  }

  private says(text: string): Promise<void> {
    return new Promise((resolve, reject) => {
      this.child!.once('exit', (code) => reject(new Error(`The server ended with ${code}: ${this.printed}`)));
      this.child!.stdout!.on('data', () => this.printed.includes(text) && resolve());
    });
  }
}
