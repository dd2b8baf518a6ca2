import type { Store } from '../../db/connection.js';
import type { Events } from '../../events.js';
import type { RoomDirectory } from '../../sessions/room-directory.js';
import type { LoginLines, RequireTeacher } from '../auth/gives.js';

/** What hand-overs need of the rest of the server. */
export interface HandOverOptions {
  readonly store: Store;
  readonly rooms: RoomDirectory;
  readonly events: Events;
  readonly loginLines: LoginLines;
  readonly requireTeacher: RequireTeacher;
  readonly nowMs: () => number;
}
