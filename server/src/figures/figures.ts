import type { FastifyInstance } from 'fastify';
import { statSync } from 'node:fs';
import { collectDefaultMetrics, Counter, Gauge, Histogram, Registry } from 'prom-client';
import type { ScheduledBackups } from '../backup/scheduled.js';
import type { Store } from '../db/connection.js';
import type { RoomDirectory } from '../sessions/room-directory.js';

/** What of a running school is looked at. */
interface Watched {
  readonly rooms: RoomDirectory;
  readonly store: Store;
  readonly backups: ScheduledBackups | null;
}

/** Upper bounds of how long an answer of the server takes, in seconds: the goal for answers of pupils is 0.05. */
const SECONDS = [0.002, 0.005, 0.01, 0.02, 0.05, 0.1, 0.25, 0.5, 1, 5];

/**
 * What happens in a school, as figures that monitoring programs read: requests by route, never by who asked. Names, ids and
 * addresses stand in none of them.
 */
export class Figures {
  private readonly registry = new Registry();

  constructor() {
    collectDefaultMetrics({ register: this.registry });
  }

  /** Counts what a server does from now on. */
  watch(app: FastifyInstance, { rooms, store, backups }: Watched): void {
    const registers = [this.registry];
    const took = new Histogram({
      name: 'zeitpunkt_request_seconds',
      help: 'How long requests took, by route and status.',
      labelNames: ['route', 'status'],
      buckets: SECONDS,
      registers,
    });
    const kept = new Counter({ name: 'zeitpunkt_answers_kept_total', help: 'Answers of pupils that were acknowledged.', registers });
    app.addHook('onResponse', async (request, reply) => {
      const route = request.routeOptions.url ?? 'none';
      took.observe({ route, status: reply.statusCode }, reply.elapsedTime / 1000);
      if (route === '/api/desk/responses' && reply.statusCode === 200) kept.inc();
    });
    const read = (name: string, help: string, value: () => number) =>
      new Gauge({
        name,
        help,
        registers,
        collect() {
          this.set(value());
        },
      });
    read('zeitpunkt_rooms_open', 'Rooms of lessons in memory.', () => rooms.size);
    read('zeitpunkt_database_bytes', 'Size of the database.', () => statSync(store.sqlite.name).size);
    read('zeitpunkt_last_backup_timestamp_seconds', 'When the school was backed up last; 0 for never.', () =>
      Math.round((backups?.status().last?.atMs ?? 0) / 1000),
    );
    read('zeitpunkt_backup_failed', 'Whether the latest backup did not work.', () => Number((backups?.status().problem ?? null) !== null));
  }

  /** All of them as text. Source: the Prometheus text format 0.0.4. */
  text(): Promise<string> {
    return this.registry.metrics();
  }

  get contentType(): string {
    return this.registry.contentType;
  }
}
