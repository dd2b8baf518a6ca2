import { randomUUID } from 'node:crypto';
import type { SchoolWithRoom } from './school.js';

/** Every table that knows a pupil: what points to one, and something of each. A table that is new is found by its foreign key. */
export function allOfPupil(now: () => SchoolWithRoom) {
  const school = () => now()[0];
  const teacher = () => now()[1];
  const room = () => now()[2];

  const rows = (sql: string, ...values: unknown[]) =>
    school()
      .store.sqlite.prepare(sql)
      .all(...values) as Record<string, unknown>[];
  const run = (sql: string, ...values: unknown[]) =>
    school()
      .store.sqlite.prepare(sql)
      .run(...values);

  /** Every column of the database that points to a pupil: a new table that is forgotten here fails. */
  function pointers(): readonly { readonly table: string; readonly column: string }[] {
    return rows("SELECT name FROM sqlite_master WHERE type = 'table'").flatMap(({ name }) =>
      rows(`PRAGMA foreign_key_list("${String(name)}")`)
        .filter(({ table }) => table === 'pupil')
        .map(({ from }) => ({ table: String(name), column: String(from) })),
    );
  }

  /** Something of every table that points to a pupil. */
  async function fill(pupilId: string): Promise<void> {
    const at = school().clockMs;
    const { id: sessionId, classId, lessonId } = room().detail;
    const own = { id: randomUUID(), lessonId, classId, pupilIds: [pupilId], firstDay: '2000-01-01', lastDay: '2999-01-01', byKey: true, voice: false }; // prettier-ignore
    expect((await teacher().send('POST', '/api/own-pace', own)).statusCode).toBe(200);
    run('UPDATE own_place SET heard_at_ms = ? WHERE pupil_id = ?', at, pupilId);
    run('INSERT INTO comment (id, pupil_id, text, at_ms) VALUES (?, ?, ?, ?)', randomUUID(), pupilId, 'Counts on fingers.', at);
    run('INSERT INTO group_move (class_id, pupil_id, key, at_ms) VALUES (?, ?, ?, ?)', classId, pupilId, 'rung:half-past', at);
    run('INSERT INTO home_page (pupil_id, can, next, try_this, at_ms) VALUES (?, ?, ?, ?, ?)', pupilId, 'a', 'b', 'c', at);
    run('INSERT INTO card (pupil_id, token_hash, made_at_ms) VALUES (?, ?, ?)', pupilId, `hash of ${pupilId}`, at);
    const sheet = rows('SELECT id FROM sheet')[0]?.['id'] ?? newSheet(sessionId);
    run('INSERT INTO sheet_copy (sheet_id, pupil_id, version) VALUES (?, ?, 1)', sheet, pupilId);
  }

  function newSheet(sessionId: string): string {
    const id = randomUUID();
    const { teacher_id: teacherId, lesson_id: lessonId, file, title } = rows('SELECT * FROM live_session WHERE id = ?', sessionId)[0]!;
    const table = rows('PRAGMA table_info("sheet")');
    const columns = table.map(({ name }) => String(name));
    const known: Record<string, unknown> = {
      id,
      teacher_id: teacherId,
      lesson_id: lessonId,
      file,
      title,
      code: 'ABCD',
      versions: 2,
      made_at_ms: 1,
    };
    run(
      `INSERT INTO sheet (${columns.join(', ')}) VALUES (${columns.map(() => '?').join(', ')})`,
      ...table.map(({ name, notnull }) => known[String(name)] ?? (notnull ? '' : null)),
    );
    return id;
  }

  return { rows, run, pointers, fill };
}
