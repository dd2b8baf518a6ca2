import Database from 'better-sqlite3';
import { existsSync, mkdtempSync, readFileSync, renameSync, rmSync, statSync, truncateSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { MIGRATIONS } from '../testing/school.js';
import { openStore } from './connection.js';

let dataDir: string;
let file: string;
beforeEach(() => {
  dataDir = mkdtempSync(join(tmpdir(), 'zeitpunkt-start-'));
  file = join(dataDir, 'zeitpunkt.sqlite');
});
afterEach(() => rmSync(dataDir, { recursive: true }));
const open = () => openStore({ dataDir, migrationsDir: MIGRATIONS });

/** A school with something in it, closed. */
function school(): void {
  const { sqlite, close } = open();
  const insert = sqlite.prepare('INSERT INTO teacher (id, sign_in_name, name, password_hash, created_at_ms) VALUES (?, ?, ?, ?, ?)');
  for (let index = 0; index < 400; index++) insert.run(`id ${index}`, `name ${index}`, 'x'.repeat(200), 'hash', 0);
  close();
}

test.each<[string, () => void, string, RegExp]>([
  ['is empty', () => writeFileSync(file, ''), 'START_DATABASE_FOREIGN', /is empty\. .* Nothing was changed\.$/],
  [
    'is no database',
    () => writeFileSync(file, 'a letter to the parents '.repeat(100)),
    'START_DATABASE_DAMAGED',
    /is damaged \(file is not a database\)/,
  ],
  [
    'was cut off',
    () => (school(), truncateSync(file, 40_960)),
    'START_DATABASE_DAMAGED',
    /is damaged \(.+\)\. Bring it back from a backup/,
  ],
  [
    'was written over in the midst',
    () => {
      school();
      const bytes = readFileSync(file);
      writeFileSync(file, bytes.fill(7, bytes.length - 30_000, bytes.length - 8000));
    },
    'START_DATABASE_DAMAGED',
    /is damaged/,
  ],
  [
    'belongs to another program',
    () => new Database(file).exec('CREATE TABLE recipe (name TEXT)').close(),
    'START_DATABASE_FOREIGN',
    /is of another program/,
  ],
  ['is gone while its log is there', () => writeFileSync(`${file}-wal`, 'log'), 'START_DATABASE_DAMAGED', /the database itself is gone/],
])('a database that %s is refused with its sentence, and stays as it is', (_what, spoil, code, sentence) => {
  spoil();
  const before = existsSync(file) ? readFileSync(file) : null;
  expect(open).toThrow(expect.objectContaining({ code, message: expect.stringMatching(sentence) }));
  expect(existsSync(file) ? readFileSync(file) : null).toEqual(before);
  expect(open).toThrow(expect.objectContaining({ code })); // and the directory is free for whoever mends it
});

test('a data directory that is a file, or lies in one, is named', () => {
  writeFileSync(file, '');
  for (const wrong of [file, join(file, 'inside')]) {
    expect(() => openStore({ dataDir: wrong, migrationsDir: MIGRATIONS })).toThrow(
      expect.objectContaining({ code: 'START_DATA_DIR', message: expect.stringContaining(wrong) }),
    );
  }
});

test('a second server on the same directory is refused before it touches anything; afterwards there is room again', () => {
  const first = open();
  const migrations = first.sqlite.prepare('DELETE FROM __drizzle_migrations WHERE created_at > 0');
  expect(migrations.run().changes).toBeGreaterThan(0); // a second one would migrate anew and fail in the midst
  expect(open).toThrow(expect.objectContaining({ code: 'START_DATA_IN_USE', message: expect.stringMatching(/open in another Zeitpunkt/) }));
  first.close();
  renameSync(file, `${file}.aside`);
  open().close();
});

test('a start that was cut off leaves no half of a school: the next one makes a whole one', () => {
  writeFileSync(`${file}.new`, 'half of a');
  open().close();
  expect(existsSync(`${file}.new`)).toBe(false);
});

test('the files and the directory are for their owner alone; a directory that holds other things keeps its rights', () => {
  open().close();
  const rights = (path: string) => (statSync(path).mode & 0o777).toString(8);
  expect([rights(file), rights(dataDir)]).toEqual(['600', '700']);
  const shared = mkdtempSync(join(tmpdir(), 'zeitpunkt-shared-'));
  writeFileSync(join(shared, 'letter.txt'), '');
  const before = rights(shared);
  openStore({ dataDir: shared, migrationsDir: MIGRATIONS }).close();
  expect(rights(shared)).toBe(before);
  rmSync(shared, { recursive: true });
});
