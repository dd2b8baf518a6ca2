import type { ClassDetail } from '@zeitpunkt/contract';
import type { Store } from '../../db/connection.js';
import type { Events } from '../../events.js';
import type { Work } from '../../work/work.js';
import type { RequireTeacher } from '../auth/gives.js';
import type { SchoolClock } from '../clock/gives.js';

/** What classes need of the rest of the server. */
export interface ClassesOptions {
  readonly store: Store;
  readonly work: Work;
  readonly clock: SchoolClock;
  readonly requireTeacher: RequireTeacher;
  readonly nowMs: () => number;
  readonly events: Events;
}

/** What the routes of a class share: how its teacher sees it. */
export interface ClassRoutesOptions extends ClassesOptions {
  /** @throws CoreError NOT_FOUND */
  readonly detail: (teacherId: string, classId: string) => ClassDetail;
}
