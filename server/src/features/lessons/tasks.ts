import { draftLesson } from '@zeitpunkt/core/draft/draft';
import { emptyLesson } from '@zeitpunkt/core/edit/empty-lesson';
import { CoreError } from '@zeitpunkt/core/errors';
import { rungIdOf } from '@zeitpunkt/core/ladder/registry';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import { prepareLesson } from '@zeitpunkt/core/lesson/prepare';
import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import { kindOf } from '@zeitpunkt/core/question-kinds/registry';
import { SECONDS_PER_HALF_DAY } from '@zeitpunkt/core/time/second-of-day';
import { checkPrepared } from '@zeitpunkt/core/checker-rules/check';
import type { DraftWish, LessonSummary } from '@zeitpunkt/contract';
import { setImmediate } from 'node:timers/promises';
import type { Db } from '../../db/connection.js';
import { stored } from '../../db/stored.js';
import { ownClass } from '../classes/gives.js';
import { answerTimesOf } from '../../sessions/answer-times.js';
import { planOf } from '../plans/gives.js';
import { lessonDraft, lessonHeads, newestDraft, writtenOut, type WrittenLesson } from './queries.js';

/** So many lessons are known without being read again: those of a large school. */
const MOST_KEPT = 5000;

type Told = Pick<LessonSummary, 'facts' | 'problem'>;

/** What is done with whole lessons beside the server's loop. */
export function lessonTasks(db: Db) {
  /** By lesson and revision, what was not wanted for longest first. */
  const kept = new Map<string, Told>();
  const toldOf = (id: string, revision: number): Told => {
    const key = `${id} ${revision}`;
    const told = kept.get(key) ?? toldAnew(db, id);
    kept.delete(key);
    kept.set(key, told);
    if (kept.size > MOST_KEPT) kept.delete(kept.keys().next().value!);
    return told;
  };
  return {
    /** A teacher's lessons for the list; one that cannot be read is listed all the same, with the reason. */
    async lessonList(teacherId: string): Promise<LessonSummary[]> {
      const list: LessonSummary[] = [];
      for (const head of lessonHeads(db, teacherId)) {
        if (!kept.has(`${head.id} ${head.revision}`)) await setImmediate();
        list.push({ ...head, ...toldOf(head.id, head.revision) });
      }
      return list;
    },

    /**
     * A lesson as a teacher wishes it, of the schools that the teacher taught by last.
     * @param wish its class is one of the teacher's
     */
    draft(teacherId: string, { id: _id, classId, empty, ...wish }: DraftWish, seed: number): WrittenLesson {
      const settings = settingsOf(newestDraft(db, teacherId)) ?? DEFAULT_SETTINGS;
      if (empty) return writtenOut(emptyLesson(wish.rung, wish.minutes, settings));
      // Of the class at hand: its own day, and how long it takes for an answer.
      const owned = classId === undefined ? undefined : ownClass(db, teacherId, classId);
      const own = owned ? { daily: planOf(db, owned).plan.daily, answerTimes: answerTimesOf(db, owned.id) } : {};
      return writtenOut(draftLesson({ ...wish, ...own, settings, seed }));
    },
  };
}

/** The schools of a lesson, if it can be read. */
function settingsOf(row: { readonly draft: string; readonly title: string } | undefined): Lesson['settings'] | null {
  try {
    return row ? stored.lesson(row.draft, row.title).settings : null;
  } catch (error) {
    if (error instanceof CoreError) return null;
    throw error;
  }
}

function toldAnew(db: Db, id: string): Told {
  try {
    const { draft, title } = lessonDraft(db, id)!;
    return { facts: factsOf(stored.lesson(draft, title)), problem: null };
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    return { facts: null, problem: error.message };
  }
}

function factsOf(lesson: Lesson): NonNullable<LessonSummary['facts']> {
  const times = lesson.items.flatMap((item) => kindOf(item).timesOf(item));
  const prepared = prepareLesson(lesson);
  return {
    goal: lesson.goal,
    rung: lesson.rung ?? (times.length > 0 ? rungIdOf(times) : null),
    targetMinutes: lesson.targetMinutes,
    plannedSec: Math.round(prepared.totalMs / 1000),
    beatCount: lesson.beats.length,
    questionCount: lesson.items.length,
    times: [...new Set(times.map((at) => Math.floor(at) % SECONDS_PER_HALF_DAY))],
    findings: checkPrepared(prepared).length,
  };
}
