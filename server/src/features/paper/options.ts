import type { Store } from '../../db/connection.js';
import type { RequireTeacher } from '../auth/gives.js';

/** What sheets need of the rest of the server. */
export interface PaperOptions {
  readonly store: Store;
  readonly requireTeacher: RequireTeacher;
  readonly nowMs: () => number;
}
