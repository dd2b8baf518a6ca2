import { randomUUID } from 'node:crypto';
import { reading, respond, schoolWithRoom, type SchoolWithRoom } from '../../testing/school.js';

let [school, teacher, room] = [] as unknown as SchoolWithRoom;
beforeEach(async () => ([school, teacher, room] = await schoolWithRoom()));
afterEach(() => school.remove());

const rows = (sql: string, ...values: unknown[]) => school.store.sqlite.prepare(sql).all(...values) as Record<string, unknown>[];
const run = (sql: string, ...values: unknown[]) => school.store.sqlite.prepare(sql).run(...values);

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
  const at = school.clockMs;
  const { id: sessionId, classId, lessonId } = room.detail;
  const own = { id: randomUUID(), lessonId, classId, pupilIds: [pupilId], firstDay: '2000-01-01', lastDay: '2999-01-01', byKey: true, voice: false }; // prettier-ignore
  expect((await teacher.send('POST', '/api/own-pace', own)).statusCode).toBe(200);
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

test('whatever points to a pupil points to the one who stays after they were made one', async () => {
  const anouk = await room.join('Anouk');
  await room.goTo('ask', 'q1');
  await respond(anouk, reading('7', '30'));
  const [goes, stays] = [room.pupilId('Anouk'), room.pupilId('Bashir')];
  await fill(goes);
  const all = pointers();
  expect(all.length).toBeGreaterThanOrEqual(8);
  const count = ({ table, column }: (typeof all)[number], pupilId: string) =>
    rows(`SELECT count(*) AS n FROM "${table}" WHERE "${column}" = ?`, pupilId)[0]!['n'];
  const before = all.map((one) => ({ ...one, n: count(one, goes) }));
  for (const one of before) expect(one).not.toMatchObject({ n: 0 });
  expect((await teacher.send('POST', `/api/classes/${room.detail.classId}/pupils/${goes}/merge`, { into: stays })).statusCode).toBe(200);
  expect(all.map((one) => ({ ...one, n: count(one, stays) }))).toEqual(before);
  expect(rows('PRAGMA foreign_key_check')).toEqual([]);
});

test('where both have one of a kind, nothing is doubled, and the later or the farther one counts', async () => {
  const [goes, stays] = [room.pupilId('Anouk'), room.pupilId('Bashir')];
  await fill(stays);
  const [{ session_id: session }] = rows('SELECT session_id FROM own_place WHERE pupil_id = ?', stays) as [{ session_id: string }];
  school.clockMs += 1000;
  await fill(goes);
  run('UPDATE home_page SET can = ? WHERE pupil_id = ?', 'later', goes);
  run(
    'INSERT INTO own_place (session_id, pupil_id, heard_at_ms, finished_at_ms, line) VALUES (?, ?, 5, 6, ?)',
    session,
    goes,
    'Well done.',
  );
  expect((await teacher.send('POST', `/api/classes/${room.detail.classId}/pupils/${goes}/merge`, { into: stays })).statusCode).toBe(200);
  expect(rows('SELECT can FROM home_page')).toEqual([{ can: 'later' }]);
  expect(rows('SELECT token_hash FROM card')).toEqual([{ token_hash: `hash of ${stays}` }]);
  expect(rows('SELECT pupil_id, finished_at_ms, line FROM own_place WHERE session_id = ?', session)).toEqual([
    { pupil_id: stays, finished_at_ms: 6, line: 'Well done.' },
  ]);
  expect(rows('SELECT count(*) AS n FROM group_move')).toEqual([{ n: 1 }]);
  expect(rows('SELECT pupil_id FROM sheet_copy')).toEqual([{ pupil_id: stays }]);
});
