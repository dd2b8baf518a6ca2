import type { RosterFile } from '@zeitpunkt/contract';
import type { Db } from '../../db/connection.js';
import { joined } from '../../files/joined.js';
import { exportPupil } from './pupil-export.js';
import { readRosterFile } from './roster-file.js';

export function classTasks(db: Db) {
  return {
    /** The rows of a class list. @throws CoreError ROSTER_UNREADABLE */
    roster: (file: readonly Uint8Array[]): RosterFile => readRosterFile(joined(file)),

    /** Everything that is kept about a pupil, as JSON. */
    exportPupil: async (pupilId: string, className: string, nowMs: number): Promise<string> =>
      JSON.stringify(await exportPupil(db, pupilId, className, nowMs), null, 2),
  };
}
