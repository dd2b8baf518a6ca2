import { type ChildProcess, spawn } from 'node:child_process';
import { once } from 'node:events';
import { join } from 'node:path';
import type { HostAnswer, HostOrder } from '../../../server/src/testing/host.js';

export const HOST_SCRIPT = join(import.meta.dirname, '../../../server/dist/test-host.js');

/** One process in which the schools of several journeys run, one after the other. */
export class ServerHost {
  private readonly child: ChildProcess = spawn(process.execPath, [HOST_SCRIPT], { stdio: ['ignore', 'ignore', 'inherit', 'ipc'] });
  private last = 0;

  /** Opens a school as from the command line; resolves with how to end it at once, and the port it listens to. */
  async open(args: readonly string[]): Promise<{ port: number; end: () => Promise<void> }> {
    const id = (this.last += 1);
    const { port } = await this.ask({ id, args });
    return { port: port!, end: async () => void (await this.ask({ id, end: true })) };
  }

  async close(): Promise<void> {
    if (this.child.exitCode !== null) return;
    const gone = once(this.child, 'exit');
    this.child.disconnect();
    await gone;
  }

  private ask(order: HostOrder): Promise<HostAnswer> {
    return new Promise((resolve, reject) => {
      const ended = () => reject(new Error('The process that holds the schools has ended.'));
      const read = (answer: HostAnswer) => {
        if (answer.id !== order.id) return;
        this.child.off('message', read).off('exit', ended);
        if (answer.failed === undefined) resolve(answer);
        else reject(new Error(answer.failed));
      };
      this.child.on('message', read).once('exit', ended);
      this.child.send(order);
    });
  }
}
