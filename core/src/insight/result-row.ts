import type { RungId } from '../ladder/registry.js';
import type { LessonSettings } from '../lesson/settings.js';
import type { Mark } from '../question-kinds/question-kind.js';
import type { Item, Response } from '../question-kinds/registry.js';

/** One answer with all that is known of it, as files of results have it: enough to be read back without loss. */
export interface ResultRow {
  readonly responseId: string;
  readonly pupilId: string;
  readonly pupil: string;
  /** The school's own number or mark for the pupil. */
  readonly reference: string | null;
  readonly sessionId: string;
  readonly lesson: string;
  /** When the lesson was opened, in milliseconds since 1970. */
  readonly taughtAtMs: number;
  readonly pace: 'live' | 'own';
  readonly rung: RungId | null;
  readonly settings: LessonSettings;
  readonly askingId: string;
  /** In the order asked, from 1. */
  readonly number: number;
  readonly item: Item;
  readonly attempt: number;
  readonly response: Response;
  /** As it was marked at first. */
  readonly mark: Mark;
  /** Another mark that the teacher put in its place. */
  readonly correction: { readonly mark: Mark; readonly reason: string; readonly atMs: number } | null;
  readonly responseTimeMs: number;
  readonly receivedAtMs: number;
  readonly source: 'device' | 'paper' | 'spoken';
  readonly late: { readonly waitedMs: number; readonly closedAtMs: number | null; readonly counted: boolean } | null;
}
