import { CoreError, prepareLesson, type Lesson, type PreparedLesson, type RoomState } from '@zeitpunkt/core';
import { readPictures } from '@zeitpunkt/core/live/room-key';
import type { MarkedResponse, Participant, Pupil, SessionDetail } from '@zeitpunkt/contract';
import { stored } from '../../db/stored.js';
import { responseOfRow } from './answers.js';
import { NOTHING_IN_PASSING } from './in-passing.js';
import type { LiveQueries } from './queries.js';

/** A session as the database has it: what a room goes on from after a restart, and what a review reads. */
export interface SessionRecord {
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
  readonly participants: readonly Participant[];
  /** Every attempt that can be read, oldest first. */
  readonly responses: readonly MarkedResponse[];
  /** Why each of the others cannot be read. */
  readonly unreadable: readonly string[];
}

/**
 * Reads a session through the door of everything stored.
 * @returns undefined where there is none
 * @throws CoreError where its lesson or its room cannot be read; a response that cannot is left out and told
 */
export function readRecord(queries: LiveQueries, sessionId: string): SessionRecord | undefined {
  const row = queries.session(sessionId);
  if (!row) return undefined;
  const { session, className, simulated } = row;
  const lesson = prepareLesson(stored.lesson(row.file, session.title));
  const participants = queries.participants(sessionId).map((one) => ({ ...one, online: false }));
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
    participants,
    responses,
    unreadable,
  };
}

/** What was asked in a session, without its answers. @throws CoreError where it cannot be read */
export function readAsked(queries: LiveQueries, sessionId: string): { readonly lesson: Lesson; readonly room: RoomState } | undefined {
  const row = queries.session(sessionId);
  if (!row) return undefined;
  const lesson = stored.lesson(row.file, row.session.title);
  return { lesson, room: stored.room(row.session.room, lesson) };
}

/** A session as its teacher sees it, from the database alone. */
export function detailOfRecord(record: SessionRecord, pupils: readonly Pupil[], nowMs: number): SessionDetail {
  const {
    id,
    lessonId,
    classId,
    className,
    pace,
    simulated,
    roomKey,
    createdAtMs,
    endedAtMs,
    lesson,
    room,
    participants,
    responses,
    unreadable,
  } = record;
  return {
    id,
    lessonId,
    classId,
    className,
    pace,
    simulated,
    roomKey: endedAtMs === null ? roomKey : null,
    createdAtMs,
    endedAtMs,
    lesson: lesson.lesson,
    pupils,
    live: { seq: 0, nowMs, room, participants, responses, outside: { knocks: [], wrongKeys: 0 }, passing: NOTHING_IN_PASSING },
    unreadable,
  };
}
