import { COUNTS, SIZES, type CountName } from '@zeitpunkt/contract';
import { CoreError } from '@zeitpunkt/core/errors';
import type { Database } from 'better-sqlite3';
import { sqliteCode } from './sqlite-code.js';

/** Where what is counted stands. */
interface Counted {
  readonly table: string;
  /** The column whose value those of one owner share; null where there is one owner. */
  readonly by: string | null;
  /** Only such rows count. */
  readonly where?: string;
}

const COUNTED: Readonly<Record<CountName, Counted>> = {
  teachers: { table: 'teacher', by: null },
  invitations: { table: 'invitation', by: null },
  classes: { table: 'class', by: 'teacher_id' },
  pupils: { table: 'pupil', by: 'class_id' },
  lessons: { table: 'lesson', by: 'teacher_id' },
  dials: { table: 'saved_dial', by: 'teacher_id' },
  openRooms: { table: 'live_session', by: 'teacher_id', where: "ended_at_ms IS NULL AND pace = 'live'" },
  ownPace: { table: 'live_session', by: 'teacher_id', where: "ended_at_ms IS NULL AND pace = 'own'" },
  taught: { table: 'live_session', by: 'class_id' },
  commands: { table: 'session_event', by: 'session_id' },
  places: { table: 'participant', by: 'session_id' },
  takes: { table: 'take', by: 'lesson_id' },
  remarks: { table: 'comment', by: 'pupil_id' },
  wordings: { table: 'accepted_wording', by: 'class_id' },
  corrections: { table: 'correction', by: 'response_id' },
  sheets: { table: 'sheet', by: 'lesson_id' },
};

/** What a trigger says where nothing more fits. */
const FULL = 'FULL ';

/**
 * Has a connection hold the bounds of the contract, whoever writes: counts by triggers of its own, and the whole by its pages.
 * @param quotaBytes how large the school may become; null where its disk alone bounds it
 * @param counts how many of each
 */
export function holdLimits(
  sqlite: Database,
  quotaBytes: number | null,
  counts: Readonly<Record<CountName, { readonly most: number }>> = COUNTS,
): void {
  for (const [name, { table, by, where }] of Object.entries(COUNTED) as [CountName, Counted][]) {
    const ofOwner = [...(by ? [`${by} = NEW.${by}`] : []), ...(where ? [where] : [])].join(' AND ') || 'TRUE';
    const isCounted = where ? where.replace(/(ended_at_ms|pace)/g, 'NEW.$1') : 'TRUE';
    sqlite.exec(
      `CREATE TEMP TRIGGER "full_${name}" BEFORE INSERT ON main."${table}"
       WHEN ${isCounted} AND (SELECT count(*) FROM main."${table}" WHERE ${ofOwner}) >= ${counts[name].most}
       BEGIN SELECT RAISE(ABORT, '${FULL}${name}'); END`,
    );
  }
  sqlite.exec(
    `CREATE TEMP TRIGGER full_recording BEFORE INSERT ON main.take_piece
     WHEN length(NEW.bytes)
       + (SELECT coalesce(sum(length(sound)), 0) FROM main.take WHERE lesson_id = (SELECT lesson_id FROM main.take WHERE id = NEW.take_id))
       + (SELECT coalesce(sum(length(piece.bytes)), 0) FROM main.take JOIN main.take_piece AS piece ON piece.take_id = take.id
          WHERE take.lesson_id = (SELECT lesson_id FROM main.take WHERE id = NEW.take_id)) > ${SIZES.recording.bytes}
     BEGIN SELECT RAISE(ABORT, '${FULL}recording'); END`,
  );
  if (quotaBytes !== null) {
    const pageBytes = sqlite.pragma('page_size', { simple: true }) as number;
    sqlite.pragma(`max_page_count = ${Math.floor(quotaBytes / pageBytes)}`);
  }
}

/** The problem of whoever wanted one more than there can be; null where an error is another. */
export function problemOfLimit(error: unknown): CoreError | null {
  if (sqliteCode(error) !== 'SQLITE_CONSTRAINT_TRIGGER') return null;
  const name = (error as Error).message.slice(FULL.length);
  if (name === 'recording') {
    const megabytes = SIZES.recording.bytes / 2 ** 20;
    return new CoreError('FULL', `All takes of a lesson together may have ${megabytes} MB. Delete some, then record again.`, { megabytes });
  }
  const { most, of, per, then } = COUNTS[name as CountName];
  const sentence = `There are ${most.toLocaleString('en')} ${of} already, as many as ${per} can have. ${then}`;
  return new CoreError('FULL', sentence, { most, of });
}
