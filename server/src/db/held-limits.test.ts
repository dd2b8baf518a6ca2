import { COUNTS, type CountName } from '@zeitpunkt/contract';
import Database from 'better-sqlite3';
import { randomUUID } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { School, TestRoom, reading, respond } from '../testing/school.js';
import { holdLimits, problemOfLimit } from './held-limits.js';

/** The newest school that was dumped: something of every table is in it. */
function livedIn(): Database.Database {
  const folder = join(__dirname, '../testing/old-schools');
  const newest = readdirSync(folder)
    .filter((name) => name.endsWith('.sql'))
    .sort()
    .at(-1)!;
  const sqlite = new Database(':memory:');
  sqlite.pragma('foreign_keys = OFF');
  sqlite.exec(readFileSync(join(folder, newest), 'utf8'));
  sqlite.exec(`INSERT INTO saved_dial (id, teacher_id, name, build, version, place) SELECT 'd', id, 'Noon', '{}', 1, 0 FROM teacher LIMIT 1;
    INSERT INTO accepted_wording (id, class_id, wording, time_sec, at_ms) SELECT 'w', id, 'noon', 43200, 1 FROM class LIMIT 1`);
  return sqlite;
}

/** A row of what is counted, once more, and how many its owner has. */
const OWNED: Readonly<Record<CountName, readonly [table: string, by: string]>> = {
  teachers: ['teacher', '1'],
  invitations: ['invitation', '1'],
  classes: ['class', 'teacher_id'],
  pupils: ['pupil', 'class_id'],
  lessons: ['lesson', 'teacher_id'],
  dials: ['saved_dial', 'teacher_id'],
  openRooms: ["live_session WHERE ended_at_ms IS NULL AND pace = 'live'", 'teacher_id'],
  ownPace: ["live_session WHERE ended_at_ms IS NULL AND pace = 'own'", 'teacher_id'],
  taught: ['live_session', 'class_id'],
  commands: ['session_event', 'session_id'],
  places: ['participant', 'session_id'],
  takes: ['take', 'lesson_id'],
  remarks: ['comment', 'pupil_id'],
  wordings: ['accepted_wording', 'class_id'],
  corrections: ['correction', 'response_id'],
  sheets: ['sheet', 'lesson_id'],
};

test.each(Object.entries(OWNED) as [CountName, (typeof OWNED)[CountName]][])(
  'one more of %s than there can be is refused with a sentence, and one less is not',
  (name, [table, by]) => {
    const sqlite = livedIn();
    const [from, where = 'TRUE'] = table.split(' WHERE ');
    // One that is there; there may be none of it in that school.
    if (name === 'openRooms') sqlite.exec("UPDATE live_session SET ended_at_ms = NULL WHERE pace = 'live'");
    if (name === 'ownPace') sqlite.exec("UPDATE live_session SET ended_at_ms = NULL WHERE pace = 'own'");
    const row = sqlite.prepare(`SELECT *, ${by} AS owner FROM ${from} WHERE ${where} LIMIT 1`).get() as Record<string, unknown>;
    const { owner, ...columns } = row;
    const { many } = sqlite.prepare(`SELECT count(*) AS many FROM ${from} WHERE ${where} AND ${by} = ?`).get(owner) as { many: number };
    const names = Object.keys(columns);
    const again = () =>
      sqlite
        .prepare(`INSERT INTO ${from} (${names.join(', ')}) VALUES (${names.map(() => '?').join(', ')})`)
        .run(...Object.values(columns));
    const hold = (most: number) => {
      for (const { trigger } of sqlite.prepare("SELECT name AS trigger FROM temp.sqlite_master WHERE type = 'trigger'").all() as {
        trigger: string;
      }[])
        sqlite.exec(`DROP TRIGGER temp."${trigger}"`);
      holdLimits(sqlite, null, { ...COUNTS, [name]: { most } });
    };
    hold(many + 1);
    expect(again).toThrow(/UNIQUE|constraint failed: /); // the row is there already, and that is all that is wrong with it
    hold(many);
    const refused = (): unknown => {
      try {
        return again();
      } catch (error) {
        return problemOfLimit(error);
      }
    };
    expect(refused()).toMatchObject({
      code: 'FULL',
      message: expect.stringContaining(COUNTS[name].then),
      params: { most: COUNTS[name].most },
    });
    sqlite.close();
  },
);

test('a school that has all the room it may have says so, loses nothing, and goes on once something is deleted', async () => {
  const school = new School();
  school.quotaBytes = 1.2 * 2 ** 20;
  await school.start();
  const teacher = await school.teacher();
  const room = await TestRoom.open(school, teacher);
  const anouk = await room.join('Anouk');
  await room.goTo('ask', 'q1');
  // Lists of pupils until none fits any more, then shorter ones, then one pupil.
  const { id: classId } = (await teacher.send('GET', '/api/classes')).json()[0];
  const other = randomUUID();
  await teacher.send('POST', '/api/classes', { id: other, name: 'Full' });
  const fill = (count: number) => {
    const pupils = Array.from({ length: count }, () => ({ id: randomUUID(), name: randomUUID(), reference: 'x'.repeat(60) }));
    return teacher.send('POST', `/api/classes/${other}/pupils`, { pupils });
  };
  const there = async (of: string): Promise<number> => (await teacher.send('GET', `/api/classes/${of}`)).json().pupils.length;
  for (const count of [200, 20, 1]) {
    const before = await there(other);
    let [lists, reply] = [0, await fill(count)];
    for (; reply.statusCode === 200; lists++) reply = await fill(count);
    expect(reply.json()).toMatchObject({ code: 'STORE_FULL', status: 507, detail: expect.stringContaining('all the room') });
    expect(await there(other)).toBe(before + count * lists); // each list came whole or not at all
  }
  // What is left of the pages that answers stand on is soon full, too.
  let kept = 0;
  let given = await respond(anouk, reading('7', '30'));
  while (given.statusCode === 200) {
    kept += 1;
    given = await respond(anouk, reading('7', '30'));
  }
  expect(given.json()).toMatchObject({ code: 'STORE_FULL' });
  const answers = async () => (await teacher.send('GET', `/api/sessions/${room.detail.id}`)).json().live.responses;
  expect(await answers()).toHaveLength(kept);
  // Deleting needs no room, and makes some.
  expect((await teacher.send('POST', `/api/classes/${other}/delete`)).statusCode).toBe(204);
  expect((await respond(anouk, reading('7', '30'))).statusCode).toBe(200);
  expect(await answers()).toHaveLength(kept + 1);
  expect(await there(classId)).toBe(3);
  await school.remove();
});
