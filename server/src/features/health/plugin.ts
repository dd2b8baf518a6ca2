import { Health } from '@zeitpunkt/contract';
import type { ScheduledBackups } from '../../backup/scheduled.js';
import type { Store } from '../../db/connection.js';
import type { Feature } from '../../http/feature.js';

export interface HealthOptions {
  readonly store: Store;
  readonly backups: ScheduledBackups | null;
}

/** Whether the server is alive and ready, for whatever watches the machine: it says nothing about who is here. */
export const healthPlugin: Feature<HealthOptions> = async (app, { store, backups }) => {
  app.get('/health', { schema: { response: { 200: Health, 503: Health } } }, (_request, reply) => {
    const ready = answers(store);
    void reply.code(ready ? 200 : 503).header('cache-control', 'no-store');
    return { alive: true as const, ready, lastBackupAtMs: backups?.status().last?.atMs ?? null };
  });
};

function answers({ sqlite }: Store): boolean {
  try {
    return sqlite.open && sqlite.prepare('SELECT 1').pluck().get() === 1;
  } catch {
    return false; // what stands in the way is in the log of whoever asks for more than this
  }
}
