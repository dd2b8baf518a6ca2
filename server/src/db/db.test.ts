import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { MIGRATIONS } from '../testing/school.js';
import { openBeside, openStore, reallyDelete } from './connection.js';
import { groupCommit } from './group-commit.js';

let dataDir: string;
beforeEach(() => (dataDir = mkdtempSync(join(tmpdir(), 'zeitpunkt-db-'))));
afterEach(() => rmSync(dataDir, { recursive: true }));
const open = () => openStore({ dataDir, migrationsDir: MIGRATIONS });

test('every table is strict, and a commit is flushed to the disk', () => {
  const { sqlite, close } = open();
  const tables = sqlite
    .prepare("SELECT name, sql FROM sqlite_master WHERE type = 'table' AND name NOT LIKE '\\_\\_%' ESCAPE '\\' AND name NOT LIKE 'sqlite%'")
    .all() as {
    name: string;
    sql: string;
  }[];
  expect(tables.map(({ name }) => name).sort()).toEqual([
    'accepted_wording',
    'card',
    'class',
    'class_plan',
    'comment',
    'correction',
    'data_record',
    'group_move',
    'home_page',
    'invitation',
    'lesson',
    'lesson_version',
    'live_session',
    'login_session',
    'own_pace',
    'own_place',
    'participant',
    'password_reset',
    'pupil',
    'recording',
    'response',
    'saved_dial',
    'school_act',
    'school_clock',
    'school_setting',
    'session_event',
    'sheet',
    'sheet_copy',
    'sheet_session',
    'take',
    'take_piece',
    'teacher',
  ]);
  for (const { sql } of tables) expect(sql).toMatch(/STRICT$/);
  expect(sqlite.pragma('synchronous', { simple: true })).toBe(2);
  expect(sqlite.pragma('journal_mode', { simple: true })).toBe('wal');
  close();
});

test('a database of a newer version is refused and stays as it is', () => {
  const { sqlite, close } = open();
  sqlite.prepare("INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('of tomorrow', 9999999999999)").run();
  close();
  expect(open).toThrow(
    expect.objectContaining({ code: 'START_DATABASE_NEWER', message: expect.stringMatching(/newer version .* Nothing was changed\.$/) }),
  );
});

test('writes of one turn share a transaction; one that fails is rejected alone and leaves nothing behind', async () => {
  const { sqlite, close } = open();
  sqlite.exec('CREATE TABLE note (text TEXT UNIQUE) STRICT');
  const commit = groupCommit(sqlite);
  const insert = sqlite.prepare('INSERT INTO note VALUES (?)');
  const inTransaction: boolean[] = [];
  const write = (...texts: string[]) =>
    commit(() => {
      inTransaction.push(sqlite.inTransaction);
      for (const text of texts) insert.run(text);
      return texts.join();
    });
  const results = await Promise.allSettled([write('puffin'), write('lamp', 'puffin'), write('boat')]);
  expect(results).toMatchObject([
    { status: 'fulfilled', value: 'puffin' },
    { status: 'rejected', reason: { code: 'SQLITE_CONSTRAINT_UNIQUE' } },
    { status: 'fulfilled', value: 'boat' },
  ]);
  expect(sqlite.prepare('SELECT text FROM note ORDER BY text').pluck().all()).toEqual(['boat', 'puffin']);
  // Together first, and as one failed once more, each by itself.
  expect(inTransaction).toEqual([true, true, true, true, true]);
  close();
});

test('in a flood of writes the first do not wait for the last, and every one is kept', async () => {
  const { sqlite, close } = open();
  sqlite.exec('CREATE TABLE note (number INTEGER) STRICT');
  const commit = groupCommit(sqlite);
  const insert = sqlite.prepare('INSERT INTO note VALUES (?)');
  const kept = () => sqlite.prepare('SELECT count(*) FROM note').pluck().get();
  const all = Array.from({ length: 230 }, (_, number) => commit(() => insert.run(number)));
  await all[0];
  expect(kept()).toBe(200);
  await Promise.all(all);
  expect(kept()).toBe(230);
  // Within a transaction of somebody else's nothing is committed before that one is over.
  const inside = sqlite.transaction(() => Array.from({ length: 120 }, (_, number) => commit(() => insert.run(number))))();
  expect(kept()).toBe(230);
  await Promise.all(inside);
  expect(kept()).toBe(350);
  close();
});

test('when the commit itself fails, everybody hears of it', async () => {
  const { sqlite, close } = open();
  const commit = groupCommit(sqlite);
  const results = Promise.allSettled([commit(() => 1), commit(() => 2)]);
  close();
  expect((await results).map(({ status }) => status)).toEqual(['rejected', 'rejected']);
});

test('what is deleted while somebody reads in the log is gone once they have read', async () => {
  const store = open();
  const inFiles = () => ['', '-wal'].some((end) => readFileSync(join(dataDir, `zeitpunkt.sqlite${end}`)).includes('a secret of Anouk'));
  store.sqlite.exec(
    "INSERT INTO teacher (id, sign_in_name, name, password_hash, created_at_ms) VALUES ('t', 't', 'a secret of Anouk', '', 0)",
  );
  const reader = openBeside(store.sqlite.name);
  const rows = reader.sqlite.prepare('SELECT name FROM teacher').iterate();
  rows.next();
  reallyDelete(store, () => store.sqlite.exec("DELETE FROM teacher WHERE id = 't'"));
  expect(inFiles()).toBe(true);
  rows.return!();
  for (let wait = 0; wait < 200 && inFiles(); wait++) await new Promise((resolve) => setTimeout(resolve, 50));
  expect(inFiles()).toBe(false);
  reader.close();
  store.close();
});
