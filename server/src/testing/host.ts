import { readOptions } from '../options.js';
import { serve, type Served } from '../serve.js';
import { heavyTasks } from '../work/tasks.js';
import { workInPlace } from '../work/work.js';

// A process for journeys that holds one school after another, each on data of its own: a process that is warm starts a school
// in a fraction of the time that a new one takes. Heavy work is done in place: a thread takes two seconds to begin, and journeys
// with a process of their own have it. It is asked over the channel to its parent, by the id of each school.

/** What the host is asked: to open a school as from the command line, or to end one at once. */
export type HostOrder = { readonly id: number; readonly args: readonly string[] } | { readonly id: number; readonly end: true };
/** What it answers. */
export interface HostAnswer {
  readonly id: number;
  readonly port?: number;
  readonly failed?: string;
}

const schools = new Map<number, Served>();

async function obey(order: HostOrder): Promise<HostAnswer> {
  const { id } = order;
  if ('args' in order) {
    const served = await serve(readOptions(order.args, {}), import.meta.dirname, (store) => workInPlace(heavyTasks(store)));
    schools.set(id, served);
    return { id, port: served.port };
  }
  const { app, store } = schools.get(id)!;
  schools.delete(id);
  for (const line of app.websocketServer.clients) line.terminate();
  app.server.closeAllConnections();
  await app.close();
  store.close();
  return { id };
}

process.on('message', (order: HostOrder) => {
  void obey(order)
    .catch((error: unknown): HostAnswer => ({ id: order.id, failed: String(error) }))
    .then((answer) => process.send?.(answer));
});
process.on('disconnect', () => process.exit());
