import { constants, getPriority, setPriority } from 'node:os';
import { parentPort, workerData } from 'node:worker_threads';
import { openBeside } from '../db/connection.js';
import { problemOfStore } from '../db/when-free.js';
import { failureOf, memoryOf, type FromWorker, type ToWorker } from './messages.js';
import { heavyTasks } from './tasks.js';
import { flowOf, jsonOf, taskOf, type Piece } from './work.js';

// The thread of heavy work. Tasks give way to each other where they wait; the server's loop is another's.
const port = parentPort!;
/**
 * How much it gives way to the server's loop, 0 to 19: where both want a processor, answers get nine tenths of it. With the most,
 * it did not even begin on a machine that was busy with something else. Source: sched(7), a step of one is a factor of 1.25.
 * Beside a drafted lesson p95 of answers was 1.8 × of that without it (2.6 with 5), beside an archive looked at 1.9 × (2.1).
 */
const GIVES_WAY = 10;
const LOWEST = constants.priority.PRIORITY_LOW;
// On Linux a thread has a priority of its own; elsewhere it would be the server's.
if (process.platform === 'linux') setPriority(Math.min(LOWEST, getPriority() + GIVES_WAY));
const { file, quotaBytes } = workerData as { readonly file: string; readonly quotaBytes: number | null };
const tasks = heavyTasks(openBeside(file, quotaBytes));
const flows = new Map<number, AsyncGenerator<Piece>>();

const say = (message: FromWorker, ...bytes: readonly unknown[]) => port.postMessage(message, memoryOf(bytes));

async function handle(message: ToWorker): Promise<void> {
  const { id } = message;
  switch (message.type) {
    case 'ask':
      return say({ id, type: 'value', value: await taskOf(tasks, message.name)(...message.input) });
    case 'json': {
      const value = jsonOf(await taskOf(tasks, message.name)(...message.input));
      return say({ id, type: 'value', value }, value.json);
    }
    case 'flow':
      return void flows.set(id, flowOf(tasks, message.name)(...message.input));
    case 'next': {
      const { value, done } = (await flows.get(id)?.next()) ?? { value: null, done: true };
      const piece = done ? null : (value as Piece);
      if (done) flows.delete(id);
      return say({ id, type: 'piece', piece }, piece);
    }
    case 'stop': {
      const flow = flows.get(id);
      flows.delete(id);
      await flow?.return(undefined);
      return;
    }
    case 'still-there':
      return say({ id, type: 'still-there' });
  }
}

port.on('message', (message: ToWorker) => {
  handle(message).catch((error: unknown) => {
    flows.delete(message.id);
    say({ id: message.id, type: 'failed', failure: failureOf(problemOfStore(error)) });
  });
});
