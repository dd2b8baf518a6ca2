import type { HomePage } from '../../insight/home-page.js';
import type { LessonSettings } from '../../lesson/settings.js';
import type { MisconceptionId } from '../../misconceptions/registry.js';
import type { Verdict } from '../../question-kinds/question-kind.js';
import type { Item } from '../../question-kinds/registry.js';

/** A moment as ISO 8601 in UTC: "2026-12-01T08:30:00.000Z". */
export type IsoMoment = string;

/** An answer of a pupil, with the question it was given to and all that was made of it. */
export interface RecordedAnswer {
  /** What was asked; null where the question is not known any more. */
  readonly question: string | null;
  /** The question as the program keeps it; null where it is not known any more. */
  readonly item: Item | null;
  /** The answer in a few words; null where it cannot be read. */
  readonly answer: string | null;
  /** The answer as the program keeps it. */
  readonly given: unknown;
  /** From 1. */
  readonly attempt: number;
  /** How it counts today; null where the mark cannot be read. */
  readonly verdict: Verdict | null;
  readonly possibleIdeas: readonly MisconceptionId[];
  /** What the pupil read about it; empty where nothing was said. */
  readonly saidToPupil: string;
  /** How the teacher marked it afterwards; null where that was not done. */
  readonly corrected: { readonly verdict: Verdict; readonly reason: string; readonly at: IsoMoment } | null;
  /** The teacher's remarks on this answer. */
  readonly remarks: readonly { readonly text: string; readonly at: IsoMoment }[];
  readonly responseTimeMs: number;
  readonly receivedAt: IsoMoment;
  readonly source: 'device' | 'paper' | 'spoken';
  /** It came after its question was closed. */
  readonly late: boolean;
  readonly counts: boolean;
}

/** A lesson that a pupil was in, or was given. */
export interface RecordedLesson {
  readonly title: string;
  readonly taughtAt: IsoMoment;
  readonly pace: 'live' | 'own';
  readonly settings: LessonSettings;
  /** When the pupil came in, was let in, and went. */
  readonly came: readonly { readonly at: IsoMoment; readonly admittedAt: IsoMoment | null; readonly leftAt: IsoMoment | null }[];
  /** At their own pace: when the pupil last went on, when it was finished, and what the teacher wrote. */
  readonly own: { readonly heardAt: IsoMoment | null; readonly finishedAt: IsoMoment | null; readonly line: string } | null;
  readonly answers: readonly RecordedAnswer[];
}

/**
 * Everything that is kept about one pupil. It goes out as it is, as JSON for programs, and on paper for the family; it is never
 * read back. Version 2 has joins, places at own pace, cards, groups and sheets, and remarks beside their answers.
 */
export interface PupilRecord {
  readonly format: 'zeitpunkt-pupil-data';
  readonly formatVersion: 2;
  readonly exportedAt: IsoMoment;
  readonly class: string;
  readonly name: string;
  /** The school's own number or mark for the pupil. */
  readonly reference: string | null;
  readonly leftAt: IsoMoment | null;
  readonly cardMadeAt: IsoMoment | null;
  readonly lessons: readonly RecordedLesson[];
  /** The teacher's remarks on the pupil, on no answer. */
  readonly remarks: readonly { readonly text: string; readonly at: IsoMoment }[];
  readonly pageForHome: (HomePage & { readonly at: IsoMoment }) | null;
  /** The group that the teacher chose for the next lesson. */
  readonly group: { readonly key: string; readonly at: IsoMoment } | null;
  readonly sheets: readonly { readonly code: string; readonly version: number; readonly madeAt: IsoMoment }[];
}
