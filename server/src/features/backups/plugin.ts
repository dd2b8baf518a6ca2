import { CoreError } from '@zeitpunkt/core/errors';
import { BackupStatus } from '@zeitpunkt/contract';
import type { FastifyRequest } from 'fastify';
import type { ScheduledBackups } from '../../backup/scheduled.js';
import type { Store } from '../../db/connection.js';
import type { Feature } from '../../http/feature.js';
import { noteAct } from '../acts/gives.js';
import { mustBeFirst, type RequireTeacher } from '../auth/gives.js';

export interface BackupsOptions {
  readonly store: Store;
  readonly requireTeacher: RequireTeacher;
  readonly nowMs: () => number;
  /** Null where no place for backups was set. */
  readonly backups: ScheduledBackups | null;
}

/** Whether one is due is looked at so often, in milliseconds. */
const LOOK_EVERY_MS = 10 * 60_000;

const NONE: BackupStatus = { each: null, kept: [], last: null, problem: null, holdDeleted: null, running: false };

/** The backups of the school: one a day, the latest of them for every teacher to see, and one more where the first teacher asks. */
export const backupsPlugin: Feature<BackupsOptions> = async (app, { store, requireTeacher, backups, nowMs }) => {
  if (backups) {
    const timer = setInterval(() => void backups.makeIfDue(), LOOK_EVERY_MS).unref();
    app.addHook('onReady', async () => void backups.makeIfDue());
    app.addHook('onClose', async () => clearInterval(timer));
  }

  app.get('/api/backups', { schema: { response: { 200: BackupStatus } } }, (request) => {
    requireTeacher(request);
    return backups?.status() ?? NONE;
  });

  /** @throws CoreError NOT_ALLOWED, BACKUP_NOWHERE */
  const forFirst = (request: FastifyRequest): ScheduledBackups => {
    mustBeFirst(store.db, requireTeacher(request).id);
    if (!backups) throw new CoreError('BACKUP_NOWHERE', 'No place for backups is set: whoever runs the server names one with --backups.');
    return backups;
  };

  // Not waited for: a large school takes minutes, and the page asks how far it is.
  app.post('/api/backups', { schema: { response: { 200: BackupStatus } } }, (request) => {
    const own = forFirst(request);
    void own.make();
    return own.status();
  });

  app.post('/api/backups/forget-deleted', { schema: { response: { 200: BackupStatus } } }, (request) => {
    const own = forFirst(request);
    const teacherId = requireTeacher(request).id;
    void own.forgetDeleted().then((count) => {
      if (count > 0) noteAct(store.db, { act: 'backups-deleted', atMs: nowMs(), teacherId, count });
    });
    return own.status();
  });
};
