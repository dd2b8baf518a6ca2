import type { Store } from '../../db/connection.js';
import type { Events } from '../../events.js';
import type { RoomDirectory } from '../../sessions/room-directory.js';
import type { Work } from '../../work/work.js';
import type { RequireTeacher } from '../auth/gives.js';
import type { Marks } from './marks.js';
import type { ReviewQueries } from './queries.js';

/** What the review needs of the rest of the server. */
export interface ReviewOptions {
  readonly store: Store;
  readonly rooms: RoomDirectory;
  readonly work: Work;
  readonly requireTeacher: RequireTeacher;
  readonly nowMs: () => number;
  readonly events: Events;
}

/** What the routes of the review share. */
export interface ReviewRoutesOptions extends ReviewOptions {
  readonly review: ReviewQueries;
  readonly marks: Marks;
}
