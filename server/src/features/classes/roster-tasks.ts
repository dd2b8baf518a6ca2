import type { RosterFile } from '@zeitpunkt/contract';
import { joined } from '../../files/joined.js';
import { readRosterFile } from './roster-file.js';

export const rosterTasks = {
  /** The rows of a class list. @throws CoreError ROSTER_UNREADABLE */
  roster: (file: readonly Uint8Array[]): RosterFile => readRosterFile(joined(file)),
};
