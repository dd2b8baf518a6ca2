import { CoreError } from '@zeitpunkt/core/errors';
import { prepareLesson, type PreparedLesson } from '@zeitpunkt/core/lesson/prepare';
import type { RoomState } from '@zeitpunkt/core/live/room';
import { readPictures } from '@zeitpunkt/core/live/room-key';
import type { MarkedResponse, Participant, Pupil, SessionDetail } from '@zeitpunkt/contract';
import { stored } from '../db/stored.js';
import { responseOfRow } from './response-rows.js';
import { NOTHING_IN_PASSING } from './in-passing.js';
import type { SessionQueries } from './queries.js';

/** What was taught in a session, and where it stands. */
export interface SessionFrame {
  readonly id: string;
  readonly lessonId: string;
  readonly classId: string;
  readonly teacherId: string;
  readonly className: string;
  readonly pace: SessionDetail['pace'];
  readonly simulated: boolean;
  readonly roomKey: NonNullable<SessionDetail['roomKey']>;
  readonly createdAtMs: number;
  readonly endedAtMs: number | null;
  readonly lesson: PreparedLesson;
  readonly room: RoomState;
}

/** A session as the database has it: what a room goes on from after a restart, and what a review reads. */
export interface SessionRecord extends SessionFrame {
  readonly participants: readonly Participant[];
  /** Every attempt that can be read, oldest first. */
  readonly responses: readonly MarkedResponse[];
  /** Why each of the others cannot be read. */
  readonly unreadable: readonly string[];
}

/** A session without who came and what was answered. @throws CoreError where its lesson or its room cannot be read */
export function readSession(queries: SessionQueries, sessionId: string): SessionFrame | undefined {
  const row = queries.session(sessionId);
  if (!row) return undefined;
  const { session, className, simulated } = row;
  const lesson = lessonOf(row.file, session.title);
  return {
    id: session.id,
    lessonId: session.lessonId,
    classId: session.classId,
    teacherId: session.teacherId,
    className,
    pace: session.pace,
    simulated,
    roomKey: readPictures(session.roomKey ?? '').pictures,
    createdAtMs: session.createdAtMs,
    endedAtMs: session.endedAtMs,
    lesson,
    room: stored.room(session.room, lesson.lesson),
  };
}

/**
 * Reads a session through the door of everything stored.
 * @returns undefined where there is none
 * @throws CoreError where its lesson or its room cannot be read; a response that cannot is left out and told
 */
export function readRecord(queries: SessionQueries, sessionId: string): SessionRecord | undefined {
  const frame = readSession(queries, sessionId);
  if (!frame) return undefined;
  const participants = queries.participants(sessionId).map((one) => ({ ...one, online: false }));
  return { ...frame, participants, ...readAttempts(queries, sessionId, participants) };
}

/** Every attempt of a session. */
export function readAttempts(
  queries: SessionQueries,
  sessionId: string,
  participants: readonly Pick<Participant, 'pupilId' | 'name'>[] = queries.participants(sessionId),
): Pick<SessionRecord, 'responses' | 'unreadable'> {
  const responses: MarkedResponse[] = [];
  const unreadable: string[] = [];
  const corrections = queries.corrections(sessionId);
  for (const row of queries.responses(sessionId)) {
    const name = participants.find(({ pupilId }) => pupilId === row.pupilId)?.name ?? 'a pupil';
    try {
      responses.push(responseOfRow(row, `${name} to question ${row.askingId}`, corrections.get(row.id)));
    } catch (error) {
      if (!(error instanceof CoreError)) throw error;
      unreadable.push(error.message);
    }
  }
  return { responses, unreadable };
}

/** Lessons that were taught lately, by their files: a class answers, reads and is reviewed by the same few. */
const taught = new Map<string, PreparedLesson>();
const MOST_TAUGHT = 12;

/** A pinned version of a lesson, which never changes. @throws CoreError where it cannot be read */
export function lessonOf(file: string, title: string): PreparedLesson {
  const known = taught.get(file) ?? prepareLesson(stored.lesson(file, title));
  taught.delete(file);
  taught.set(file, known);
  if (taught.size > MOST_TAUGHT) taught.delete(taught.keys().next().value!);
  return known;
}

/** A session as its teacher sees it. @param now what of it changes while it is taught */
export function sessionDetail(
  { id, lessonId, classId, className, pace, simulated, roomKey, createdAtMs, lesson }: SessionFrame,
  now: Pick<SessionDetail, 'endedAtMs' | 'pupils' | 'live' | 'unreadable'>,
): SessionDetail {
  const isOpen = now.endedAtMs === null;
  return {
    id,
    lessonId,
    classId,
    className,
    pace,
    simulated,
    roomKey: isOpen ? roomKey : null,
    createdAtMs,
    lesson: lesson.lesson,
    ...now,
  };
}

/** A session as its teacher sees it, from the database alone. */
export function detailOfRecord(record: SessionRecord, pupils: readonly Pupil[], nowMs: number): SessionDetail {
  const { endedAtMs, room, participants, responses, unreadable } = record;
  const nobody = { outside: { knocks: [], wrongKeys: 0 }, passing: NOTHING_IN_PASSING };
  return sessionDetail(record, { endedAtMs, pupils, live: { seq: 0, nowMs, room, participants, responses, ...nobody }, unreadable });
}
