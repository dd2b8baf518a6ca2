import Database from 'better-sqlite3';
import type { CoreError } from '@zeitpunkt/core/errors';
import fc from 'fast-check';
import { execFileSync, spawn } from 'node:child_process';
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { openStore } from '../db/connection.js';
import { MIGRATIONS, reading, respond, schoolWithRoom, type SchoolWithRoom } from '../testing/school.js';
import { backUp, type BackUpWish } from './back-up.js';
import { notKept } from './kept.js';
import { fileNameOf, readFileName, schoolInFiles } from './names.js';
import { readBackupOptions } from './options.js';
import { restore } from './restore.js';

const NOW = Date.UTC(2026, 11, 1, 23, 15);
const PASSPHRASE = 'four boats at the tide gauge';
let [school, , room] = [] as unknown as SchoolWithRoom;
let place: string;
beforeEach(async () => {
  [school, , room] = await schoolWithRoom();
  place = mkdtempSync(join(tmpdir(), 'zeitpunkt-backup-'));
});
afterEach(async () => {
  await school.remove();
  rmSync(place, { recursive: true, force: true });
});

const at = (name: string) => join(place, name);
const backup = (own: Partial<BackUpWish> = {}) =>
  backUp({
    dataDir: school.dataDir,
    to: at('backups'),
    school: 'Tern Islands',
    passphrase: null,
    workFactor: 10, // the usual one costs a test most of a minute
    keeping: { most: null, days: null },
    migrationsDir: MIGRATIONS,
    nowMs: NOW,
    onProgress: () => undefined,
    ...own,
  });
const bringBack = (file: string, dataDir = at('restored'), passphrase: string | null = null) =>
  restore({ file, dataDir, passphrase, migrationsDir: MIGRATIONS, onProgress: () => undefined });
const codeOf = (work: Promise<unknown>) => work.then(() => 'fine', (error: CoreError) => error.code); // prettier-ignore
/** The answers in the school of a directory. */
function answersIn(dataDir: string): string[] {
  const store = openStore({ dataDir, migrationsDir: MIGRATIONS });
  const ids = store.sqlite.prepare('SELECT id FROM response ORDER BY id').pluck().all() as string[];
  store.close();
  return ids;
}
/** So much is recorded, so that copying it takes a while. */
function record(megabytes: number): void {
  const { sqlite } = school.store;
  const lessonId = sqlite.prepare('SELECT id FROM lesson').pluck().get();
  sqlite.prepare('INSERT INTO recording (lesson_id, keep_days, changed_at_ms) VALUES (?, 365, 0)').run(lessonId);
  const take = sqlite.prepare(
    "INSERT INTO take (id, lesson_id, beat_id, step, state, mime, sound) VALUES (?, ?, 'b1', 'beat', 'before', 'audio/webm', randomblob(?))",
  );
  for (let index = 0; index < megabytes; index++) take.run(`t${index}`, lessonId, 2 ** 20);
}

test('a school is backed up while its class answers: every answer that was acknowledged before it began is in it, and it can be taught from', async () => {
  const anouk = await room.join('Anouk');
  await room.goTo('ask', 'q1');
  record(12);
  const before: string[] = [];
  for (let index = 0; index < 5; index++) {
    const answer = reading('7', '30');
    expect((await respond(anouk, answer)).statusCode).toBe(200);
    before.push(answer.id);
  }
  const meanwhile: Promise<unknown>[] = [];
  const seen: number[] = [];
  const { file, bytes } = await backup({
    onProgress: (part) => {
      seen.push(part);
      if (meanwhile.length < 20) meanwhile.push(respond(anouk, reading('8', '30')));
    },
  });
  await Promise.all(meanwhile);
  expect(meanwhile.length).toBeGreaterThan(3);
  expect(seen).toEqual([...seen].sort((one, other) => one - other)); // it never began anew
  expect(file).toBe(at('backups/zeitpunkt-tern-islands-2026-12-01T231500Z.sqlite'));
  expect(bytes).toBeGreaterThan(12 * 2 ** 20);
  expect(readdirSync(at('backups'))).toEqual([readdirSync(at('backups'))[0]]);
  expect(statSync(file).mode & 0o077).toBe(0);
  await bringBack(file);
  expect(answersIn(at('restored'))).toEqual(before.sort());
});

test('sealed it says nothing to whoever has no passphrase, and is the same school with it', async () => {
  const { file } = await backup({ passphrase: PASSPHRASE });
  expect(file).toMatch(/\.sqlite\.age$/);
  const bytes = readFileSync(file);
  for (const secret of ['Anouk', 'SQLite', PASSPHRASE]) expect(bytes.includes(secret)).toBe(false);
  expect(await codeOf(bringBack(file))).toBe('BACKUP_SEALED');
  expect(await codeOf(bringBack(file, at('restored'), 'three boats'))).toBe('BACKUP_SEALED');
  await bringBack(file, at('restored'), PASSPHRASE);
  expect(answersIn(at('restored'))).toEqual([]);
  // A bit that was turned is found before anything counts.
  bytes[bytes.length - 40]! ^= 1;
  writeFileSync(at('turned.age'), bytes);
  expect(await codeOf(bringBack(at('turned.age'), at('other'), PASSPHRASE))).toBe('BACKUP_DAMAGED');
  expect(readdirSync(at('other'))).toEqual(['zeitpunkt.lock']);
});

test('what cannot be restored is refused with the reason, and nothing is there that was not there before', async () => {
  const { file } = await backup();
  const changed = (name: string, change: (path: string) => void) => {
    copyFileSync(file, at(name));
    change(at(name));
    return at(name);
  };
  const withSql = (sql: string) => (path: string) => {
    const sqlite = new Database(path);
    sqlite.exec(sql);
    sqlite.close();
  };
  const cut = changed('cut.sqlite', (path) => truncateSync(path, 3 * 4096));
  const newer = changed('newer.sqlite', withSql("INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('x', 9999999999999)"));
  const foreign = changed('foreign.sqlite', withSql('DROP TABLE __drizzle_migrations'));
  writeFileSync(at('text.sqlite'), 'Good morning to all of you.'.repeat(300));
  for (const [bad, code] of [
    [at('none.sqlite'), 'BACKUP_MISSING'],
    [cut, 'BACKUP_DAMAGED'],
    [at('text.sqlite'), 'BACKUP_DAMAGED'],
    [newer, 'BACKUP_NEWER'],
    [foreign, 'BACKUP_FOREIGN'],
  ] as const) {
    expect([bad, await codeOf(bringBack(bad))]).toEqual([bad, code]);
    expect(existsSync(at('restored')) ? readdirSync(at('restored')) : []).toEqual(existsSync(at('restored')) ? ['zeitpunkt.lock'] : []);
  }
  // A school that is there, open or not, is never written over.
  expect(await codeOf(bringBack(file, school.dataDir))).toBe('START_DATA_IN_USE');
  await bringBack(file);
  expect(await codeOf(bringBack(file))).toBe('BACKUP_HERE');
  expect(await codeOf(backup({ dataDir: at('nowhere') }))).toBe('BACKUP_NONE');
});

test('given up or without room nothing is left of it', async () => {
  record(6);
  const stop = new AbortController();
  const given = backup({ signal: stop.signal, onProgress: (part) => part > 0.3 && stop.abort() });
  await expect(given).rejects.toMatchObject({ name: 'AbortError' });
  expect(readdirSync(at('backups'))).toEqual([]);
  // What a backup that was killed left there is cleared away by the next one; what another one writes just now stays.
  const [dead, alive] = ['zeitpunkt-tern-islands-x.sqlite.part-999999999', `zeitpunkt-tern-islands-y.sqlite.part-${process.ppid}`];
  for (const name of [dead, alive]) writeFileSync(at(`backups/${name}`), '');
  await backup();
  expect(readdirSync(at('backups')).filter((name) => name.includes('.part'))).toEqual([alive]);
});

test('a restore that is killed leaves a school whole or none; no server begins a new one beside it, and the next try brings it back', async () => {
  record(24);
  const anouk = await room.join('Anouk');
  await room.goTo('ask', 'q1');
  const answer = reading('7', '30');
  expect((await respond(anouk, answer)).statusCode).toBe(200);
  const { file } = await backup();
  const script = `node_modules/.cache/zeitpunkt/backup-of-${process.pid}.mjs`;
  const bundle = `import { bundle } from './tools/lib/bundle.mjs'; await bundle('server/src/backup/main.ts', '${script}');`;
  execFileSync(process.execPath, ['--input-type=module', '--eval', bundle]);
  try {
    const child = spawn(process.execPath, [resolve(script), 'restore', file, '--data', at('killed')]);
    const over = new Promise((done) => child.once('exit', done));
    const unfinished = at('killed/zeitpunkt.sqlite.restoring');
    while (child.exitCode === null && !existsSync(unfinished)) await new Promise((next) => setImmediate(next));
    child.kill('SIGKILL');
    await over;
  } finally {
    for (const left of [script, `${script}.map`]) rmSync(resolve(left), { force: true });
  }
  if (!existsSync(at('killed/zeitpunkt.sqlite'))) {
    expect(() => openStore({ dataDir: at('killed'), migrationsDir: MIGRATIONS })).toThrow(
      expect.objectContaining({ code: 'START_RESTORE_CUT' }),
    );
    await bringBack(file, at('killed'));
  }
  expect(readdirSync(at('killed')).filter((name) => name.includes('restoring'))).toEqual([]);
  expect(answersIn(at('killed'))).toEqual([answer.id]);
  mkdirSync(at('half'));
  writeFileSync(at('half/zeitpunkt.sqlite.restoring'), 'half');
  expect(() => openStore({ dataDir: at('half'), migrationsDir: MIGRATIONS })).toThrow(/was cut off/);
}, 60_000);

test('old backups go by number and by age, the newest never, and nothing that is no backup of this school', () => {
  const DAY = 86_400_000;
  const anyFiles = fc.uniqueArray(fc.integer({ min: 0, max: 400 }), { maxLength: 30 });
  fc.assert(
    fc.property(anyFiles, fc.option(fc.integer({ min: 1, max: 10 })), fc.option(fc.integer({ min: 1, max: 300 })), (ages, most, days) => {
      const named = (age: number, name = 'terns') => fileNameOf({ school: name, atMs: NOW - age * DAY, sealed: age % 2 === 0 });
      const others = [named(5, 'puffins'), 'zeitpunkt.sqlite', 'notes.txt', `${named(3)}.part-12`];
      const gone = notKept([...ages.map((age) => named(age)), ...others], 'terns', { most, days }, NOW);
      expect(gone.filter((file) => others.includes(file))).toEqual([]);
      const kept = ages.filter((age) => !gone.includes(named(age))).sort((one, other) => one - other);
      if (ages.length > 0) expect(kept[0]).toBe(Math.min(...ages));
      if (most !== null) expect(kept.length).toBeLessThanOrEqual(most);
      for (const age of kept.slice(1)) expect(days === null || age <= days).toBe(true);
      if (most === null && days === null) expect(gone).toEqual([]);
      for (const age of ages) expect(readFileName(named(age))).toEqual({ school: 'terns', atMs: NOW - age * DAY, sealed: age % 2 === 0 });
    }),
  );
  expect([schoolInFiles('Schule am Hafen, Süd'), schoolInFiles('…'), schoolInFiles('../../etc')]).toEqual([
    'schule-am-hafen-su-d',
    'school',
    'etc',
  ]);
});

test('the command line is read; a passphrase comes from a file or the environment, never from an argument', () => {
  writeFileSync(at('pass'), `${PASSPHRASE}\nsecond line\n`);
  writeFileSync(at('empty'), '\n');
  expect(readBackupOptions(['backup', '--data', '/d', '--to', '/b', '--keep', '3', '--passphrase-file', at('pass')], {})).toEqual({
    act: 'backup', dataDir: '/d', to: '/b', school: 'school', keeping: { most: 3, days: null }, passphrase: PASSPHRASE,
  }); // prettier-ignore
  expect(readBackupOptions(['restore', '/f'], { ZEITPUNKT_DATA: '/d', ZEITPUNKT_PASSPHRASE: 'x' })).toEqual({
    act: 'restore',
    file: '/f',
    dataDir: '/d',
    passphrase: 'x',
  });
  for (const args of [
    ['restore'],
    ['restore', 'a', 'b'],
    ['backup', 'a'],
    ['backup', '--keep', '0'],
    ['backup', '--days', 'many'],
    ['backup', '--passphrase', 'x'],
    ['backup', '--passphrase-file', at('empty')],
    ['backup', '--passphrase-file', at('gone')],
  ])
    expect(() => readBackupOptions(args, {})).toThrow(
      expect.objectContaining({ code: 'START_OPTION', message: expect.stringMatching(/\.$/) }),
    );
});
