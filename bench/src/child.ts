import { type ChildProcess, fork } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** What a process has used so far. */
export interface Usage {
  /** Processor time in milliseconds, of the whole process. */
  readonly cpuMs: number;
  readonly rssMb: number;
  /** What lives in the heap, where the garbage was collected first. */
  readonly heapMb: number;
}

export interface UsageOrder {
  readonly type: 'usage';
  /** Collect the garbage first. */
  readonly collect: boolean;
}

/** Our server runs as it is started for a school. */
const FLAGS = JSON.parse(readFileSync('server/v8-flags.json', 'utf8')) as string[];
const OURS = ['zeitpunkt-server.mjs', 'beside-server.mjs', 'year-server.mjs'];

const running = new Set<ChildProcess>();
// Also after an error: nothing may go on running.
process.once('exit', () => running.forEach((child) => child.kill('SIGKILL')));

/** A process of its own that does what it is told, and answers. */
export class Child {
  readonly dataDir = mkdtempSync(join(tmpdir(), 'zeitpunkt-bench-'));
  private readonly child: ChildProcess;

  constructor(entry: string, ...args: string[]) {
    this.child = fork(join(import.meta.dirname, entry), [this.dataDir, ...args], {
      stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
      execArgv: ['--expose-gc', ...(OURS.includes(entry) ? FLAGS : [])],
    });
    running.add(this.child);
    this.child.once('exit', () => running.delete(this.child));
  }

  /** The next message that it sends. */
  async message<T>(): Promise<T> {
    const gone = new AbortController();
    const ended = once(this.child, 'exit', { signal: gone.signal }).then(([code]) => {
      throw new Error(`A process of the benchmark ended with ${String(code)}.`);
    });
    const [message] = (await Promise.race([once(this.child, 'message'), ended])) as [T];
    ended.catch(() => undefined);
    gone.abort();
    return message;
  }

  ask<T>(order: unknown): Promise<T> {
    const answer = this.message<T>();
    this.child.send(order as object);
    return answer;
  }

  usage(collect = false): Promise<Usage> {
    return this.ask<Usage>({ type: 'usage', collect } satisfies UsageOrder);
  }

  async stop(): Promise<void> {
    const gone = once(this.child, 'exit');
    this.child.kill('SIGKILL');
    await gone;
    rmSync(this.dataDir, { recursive: true, force: true });
  }
}
