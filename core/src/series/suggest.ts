import { rungAfter, RUNGS, type RungId } from '../ladder/registry.js';
import type { IsoDate } from './plan.js';
import { dayWords } from './school-days.js';

/** A lesson that was given, with the rung it was on. */
export interface GivenLesson {
  readonly rung: RungId | null;
  readonly date: IsoDate;
  /** Share of the answers that were right, 0 to 1; null where nobody answered. */
  readonly rightShare: number | null;
}

export interface Suggestion {
  readonly rung: RungId;
  /** Why, in one sentence. */
  readonly why: string;
  /** The planned lesson that it is; null where none is planned. */
  readonly lessonId: string | null;
}

/** A class that answers so much right goes on; below it the rung is taught once more. */
const ENOUGH_RIGHT = 0.7;

/**
 * What to teach next, and why: what is planned comes first; otherwise the rung after the one that was taught last, or the same
 * once more where too few answers were right.
 * @param given oldest first
 * @param planned the next planned lesson from today on
 */
export function suggestNext(
  given: readonly GivenLesson[],
  planned: { readonly lessonId: string; readonly rung: RungId | null; readonly date: IsoDate; readonly title: string } | null,
  today: IsoDate,
): Suggestion {
  if (planned?.rung) {
    const when = planned.date === today ? 'today' : `for ${dayWords(planned.date)}`;
    return { rung: planned.rung, lessonId: planned.lessonId, why: `“${planned.title}” is planned ${when}.` };
  }
  const last = given.findLast(({ rung }) => rung !== null);
  if (!last?.rung) return { rung: 'whole-hours', lessonId: null, why: 'Nothing was taught yet: whole hours come first.' };
  const { name } = RUNGS[last.rung];
  const next = rungAfter(last.rung);
  const share = last.rightShare === null ? null : Math.round(100 * last.rightShare);
  if (share !== null && last.rightShare! < ENOUGH_RIGHT) {
    return { rung: last.rung, lessonId: null, why: `“${name}” was taught last, and ${share} of 100 answers were right: once more.` };
  }
  if (next === null) return { rung: last.rung, lessonId: null, why: `“${name}” was taught last; it is the last rung.` };
  const right = share === null ? '' : ` with ${share} of 100 answers right`;
  return { rung: next, lessonId: null, why: `“${name}” was taught last${right}; “${RUNGS[next].name}” comes after it.` };
}
