import type { RoomState } from '@zeitpunkt/core/live/room';
import { foreignKey, index, integer, primaryKey, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import { teacher } from './auth.js';
import { pupil, schoolClass } from './classes.js';
import { lessonVersion } from './lessons.js';

/** One live run of a lesson with a class. */
export const liveSession = sqliteTable(
  'live_session',
  {
    id: text().primaryKey(),
    teacherId: text('teacher_id')
      .notNull()
      .references(() => teacher.id, { onDelete: 'cascade' }),
    classId: text('class_id')
      .notNull()
      .references(() => schoolClass.id, { onDelete: 'cascade' }),
    lessonId: text('lesson_id').notNull(),
    lessonVersion: integer('lesson_version').notNull(),
    /** Whether the teacher leads all pupils through the lesson, or each goes at their own pace. */
    pace: text().$type<'live' | 'own'>().notNull().default('live'),
    /** "boat lamp puffin shell" while the room is open; null once it has ended, so that the key is free again. */
    roomKey: text('room_key').unique(),
    /** Of the lesson as it was taught: lists need no lesson read. */
    title: text().notNull(),
    /** That of the room, for lists. */
    phase: text().$type<RoomState['phase']>().notNull(),
    /** RoomState of the core, as JSON with its format version. */
    room: text().notNull(),
    createdAtMs: integer('created_at_ms').notNull(),
    endedAtMs: integer('ended_at_ms'),
  },
  (table) => [
    index('live_session_teacher').on(table.teacherId, table.createdAtMs),
    index('live_session_class').on(table.classId),
    index('live_session_lesson').on(table.lessonId, table.lessonVersion),
    foreignKey({ columns: [table.lessonId, table.lessonVersion], foreignColumns: [lessonVersion.lessonId, lessonVersion.version] }),
  ],
);

/** What a teacher told the room, in order. A command's id is there once: sent again it does nothing. */
export const sessionEvent = sqliteTable(
  'session_event',
  {
    sessionId: text('session_id')
      .notNull()
      .references(() => liveSession.id, { onDelete: 'cascade' }),
    /** Place in the session, from 1. */
    seq: integer().notNull(),
    commandId: text('command_id').notNull(),
    command: text().notNull(),
    atMs: integer('at_ms').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.sessionId, table.seq] }),
    uniqueIndex('session_event_command').on(table.sessionId, table.commandId),
  ],
);

/** A pupil in a room. The device's cookie holds the token; the table only its SHA-256. */
export const participant = sqliteTable(
  'participant',
  {
    id: text().primaryKey(),
    sessionId: text('session_id')
      .notNull()
      .references(() => liveSession.id, { onDelete: 'cascade' }),
    pupilId: text('pupil_id')
      .notNull()
      .references(() => pupil.id, { onDelete: 'cascade' }),
    tokenHash: text('token_hash').notNull().unique(),
    joinedAtMs: integer('joined_at_ms').notNull(),
    /** When the teacher let the pupil in; null while the pupil waits at the door. */
    admittedAtMs: integer('admitted_at_ms'),
    /** When this place was given up: left, moved to another device, or taken away; null while it is taken. */
    releasedAtMs: integer('released_at_ms'),
    /** The teacher sent this pupil out: whoever comes under the name again waits at the door. */
    sentOut: integer('sent_out', { mode: 'boolean' }).notNull().default(false),
    /** Came under a name of their own that was not on the class list. */
    newcomer: integer({ mode: 'boolean' }).notNull().default(false),
  },
  (table) => [index('participant_session').on(table.sessionId), index('participant_pupil').on(table.pupilId)],
);

/** One attempt at a question that was asked. Never overwritten: a changed mind is another attempt. */
export const response = sqliteTable(
  'response',
  {
    id: text().primaryKey(),
    sessionId: text('session_id')
      .notNull()
      .references(() => liveSession.id, { onDelete: 'cascade' }),
    pupilId: text('pupil_id')
      .notNull()
      .references(() => pupil.id, { onDelete: 'cascade' }),
    askingId: text('asking_id').notNull(),
    attempt: integer().notNull(),
    /** The response as given, as JSON of its question kind with its format version. */
    given: text().notNull(),
    /** Mark of the core as JSON with its format version; corrections by the teacher stand beside it, never in it. */
    mark: text().notNull(),
    responseTimeMs: integer('response_time_ms').notNull(),
    receivedAtMs: integer('received_at_ms').notNull(),
    /** It came after its question was closed. */
    late: integer({ mode: 'boolean' }).notNull().default(false),
    /** How long it had waited on the device when it came, by the device's clock. */
    waitedMs: integer('waited_ms').notNull().default(0),
    /** When its question was closed; null for a response in time, or where that is not known. */
    closedAtMs: integer('closed_at_ms'),
    /** How it came: from a pupil's device, or entered by the teacher, who has it on paper or heard it. */
    source: text().$type<'device' | 'paper' | 'spoken'>().notNull().default('device'),
    /** Whether it counts: one that came late does when the teacher says so. */
    counted: integer({ mode: 'boolean' }).notNull().default(true),
  },
  (table) => [
    // Those of a session come one after the other, so that answers that come together are written to the same page.
    index('response_session').on(table.sessionId),
    index('response_pupil').on(table.pupilId),
  ],
);
