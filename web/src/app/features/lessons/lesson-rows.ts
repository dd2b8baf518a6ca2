import type { ClassStanding, LessonSummary, SessionSummary } from '@zeitpunkt/contract';
import { RUNG_IDS, RUNGS, type RungId } from '@zeitpunkt/core/ladder/registry';
import type { IsoDate } from '@zeitpunkt/core/series/plan';
import { dayOf } from '@zeitpunkt/core/series/school-days';
import { shareOf } from '../../shared/course/course';
import { dialTime } from '../../shared/words/days';

export const GROUPS = ['coming', 'drafts', 'taught', 'away'] as const;
export type GroupId = (typeof GROUPS)[number];
export const FILTERS = ['all', 'drafts', 'ready', 'own', 'taught'] as const;
export type FilterId = (typeof FILTERS)[number];
export const ORDERS = ['newest', 'oldest', 'name', 'rung'] as const;
export type OrderId = (typeof ORDERS)[number];

/** A line of the list: a lesson that waits, or one that runs or was taught. */
export interface LessonRow {
  readonly key: string;
  readonly group: GroupId;
  readonly filter: FilterId;
  readonly title: string;
  readonly lesson: LessonSummary | null;
  readonly session: SessionSummary | null;
  readonly rung: RungId | null;
  readonly times: readonly number[];
  /** The day it stands on, or on which it was taught. */
  readonly date: IsoDate | null;
  readonly atSec: number | null;
  /** What it is ordered by where time counts: later is more. */
  readonly when: number;
  /** Of a taught one, by question. */
  readonly questions: readonly { readonly right: number; readonly answers: number }[];
  readonly share: number | null;
}

export interface RowsFrom {
  readonly lessons: readonly LessonSummary[];
  /** Of the class at hand, and rehearsals that run. */
  readonly sessions: readonly SessionSummary[];
  readonly plannedOn: ReadonlyMap<string, IsoDate>;
  readonly beginsAt: (date: IsoDate) => number | null;
  readonly standing: ClassStanding | null;
  readonly today: IsoDate;
}

/** All lines of the list, in no order. */
export function lessonRows({ lessons, sessions, plannedOn, beginsAt, standing, today }: RowsFrom): LessonRow[] {
  const byId = new Map(lessons.map((one) => [one.id, one]));
  const counts = new Map(standing?.lessons.map(({ id, questions }) => [id, questions]));
  const waiting = lessons.map((lesson, place): LessonRow => {
    const planned = plannedOn.get(lesson.id) ?? null;
    const date = planned !== null && planned >= today ? planned : null;
    const group = lesson.archivedAtMs !== null ? 'away' : date !== null ? 'coming' : 'drafts';
    return {
      key: lesson.id,
      group,
      filter: group === 'coming' ? 'ready' : 'drafts',
      ...aboutLesson(lesson, lesson.title),
      session: null,
      date,
      atSec: date === null ? null : beginsAt(date),
      when: date === null ? place : Date.parse(date) + (beginsAt(date) ?? 0) * 1000,
      questions: [],
      share: null,
    };
  });
  const given = sessions.map((session): LessonRow => {
    const questions = counts.get(session.id) ?? [];
    const isOver = session.phase === 'ended';
    return {
      key: session.id,
      group: isOver ? 'taught' : 'coming',
      filter: isOver ? 'taught' : session.pace === 'own' ? 'own' : 'ready',
      ...aboutLesson(byId.get(session.lessonId) ?? null, session.title),
      session,
      date: dayOf(session.createdAtMs),
      atSec: null,
      when: isOver ? session.createdAtMs : 0,
      questions,
      share: shareOf(questions),
    };
  });
  return [...given, ...waiting];
}

function aboutLesson(lesson: LessonSummary | null, title: string) {
  return { title, lesson, rung: lesson?.facts?.rung ?? null, times: lesson?.facts?.times ?? [] };
}

/** Whether a line is meant by what was typed: part of its name, of the name of its rung, or a time of one of its questions. */
export function isMeant(row: LessonRow, typed: string): boolean {
  const wanted = folded(typed);
  if (wanted === '') return true;
  if (folded(row.title).includes(wanted)) return true;
  if (row.rung !== null && folded(RUNGS[row.rung].name).includes(wanted)) return true;
  const time = wanted.replace('.', ':');
  return row.times.some((at) => dialTime(at) === time);
}

/** Letters without their marks, in small: whoever searches types quickly. */
const folded = (text: string) => text.trim().toLowerCase().normalize('NFD').replace(/\p{M}/gu, '');

/** Lines of a group in an order; coming ones always by when they come, those that run first. */
export function inOrder(rows: readonly LessonRow[], group: GroupId, order: OrderId): LessonRow[] {
  const rungOf = (row: LessonRow) => (row.rung === null ? RUNG_IDS.length : RUNG_IDS.indexOf(row.rung));
  const byName = (one: LessonRow, other: LessonRow) => one.title.localeCompare(other.title);
  const compare: Record<OrderId, (one: LessonRow, other: LessonRow) => number> = {
    newest: (one, other) => other.when - one.when,
    oldest: (one, other) => one.when - other.when,
    name: byName,
    rung: (one, other) => rungOf(one) - rungOf(other) || byName(one, other),
  };
  const how = group === 'coming' && order === 'newest' ? 'oldest' : order;
  return rows.filter((row) => row.group === group).sort(compare[how]);
}
