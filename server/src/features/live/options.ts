import type { Store } from '../../db/connection.js';
import type { Events } from '../../events.js';
import type { RoomDirectory } from '../../sessions/room-directory.js';
import type { RequireTeacher } from '../auth/gives.js';

/** What the teacher's side of live sessions needs of the rest of the server. */
export interface TeacherRoutesOptions {
  readonly rooms: RoomDirectory;
  readonly store: Store;
  readonly events: Events;
  readonly nowMs: () => number;
  readonly requireTeacher: RequireTeacher;
}
