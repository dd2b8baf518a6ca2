import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** The real server with demo data in a folder of its own. */
export class DemoServer {
  private constructor(
    readonly url: string,
    private readonly child: ChildProcess,
    private readonly dataDir: string,
  ) {}

  static async start(): Promise<DemoServer> {
    const dataDir = mkdtempSync(join(tmpdir(), 'zeitpunkt-bench-'));
    const child = spawn(process.execPath, ['server/dist/main.js', '--demo', '--port', '0', '--data', dataDir], {
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    const url = await new Promise<string>((resolve) => {
      let said = '';
      child.stdout.on('data', (data) => {
        said += String(data);
        const found = /http:\/\/localhost:\d+/.exec(said)?.[0];
        if (found && said.includes('Ctrl+C')) resolve(found);
      });
    });
    const server = new DemoServer(url, child, dataDir);
    process.once('exit', () => server.stop()); // also after an error: nothing may go on running
    return server;
  }

  stop(): void {
    this.child.kill('SIGKILL');
    rmSync(this.dataDir, { recursive: true, force: true });
  }
}

export const CHROMIUM = { executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] };
export const SIGN_IN = { signInName: 'odalys', password: 'tern-harbour-lamp' };
