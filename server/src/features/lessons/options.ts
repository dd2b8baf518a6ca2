import type { Store } from '../../db/connection.js';
import type { Events } from '../../events.js';
import type { Limits } from '../../http/limits.js';
import type { Work } from '../../work/work.js';
import type { RequireTeacher } from '../auth/gives.js';

/** What lessons need of the rest of the server. */
export interface LessonsOptions {
  readonly store: Store;
  readonly events: Events;
  readonly work: Work;
  readonly requireTeacher: RequireTeacher;
  readonly nowMs: () => number;
  readonly limits: Limits;
}
