import Database from 'better-sqlite3';
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildApp } from '../app.js';
import { DEMO_SIGN_IN } from '../demo/seed.js';
import { Browser, MIGRATIONS, type School } from '../testing/school.js';
import { openStore } from './connection.js';

// A whole school as each version of the database wrote it, opened by this one. Files are added, never changed.
const FOLDER = join(__dirname, '../testing/old-schools');

async function openSchool(file: string) {
  const dataDir = mkdtempSync(join(tmpdir(), 'zeitpunkt-old-'));
  const sqlite = new Database(join(dataDir, 'zeitpunkt.sqlite'));
  sqlite.pragma('foreign_keys = OFF'); // rows stand in the order of tables
  sqlite.exec(readFileSync(join(FOLDER, file), 'utf8'));
  sqlite.close();
  const store = openStore({ dataDir, migrationsDir: MIGRATIONS });
  const app = await buildApp({ store, nowMs: () => Date.UTC(2026, 10, 27) });
  const teacher = new Browser({ app } as unknown as School);
  await teacher.send('POST', '/api/sign-in', DEMO_SIGN_IN);
  const close = async () => {
    await app.close();
    store.sqlite.close();
    rmSync(dataDir, { recursive: true });
  };
  const get = async (path: string) => {
    const reply = await teacher.send('GET', path);
    expect([path, reply.statusCode, reply.statusCode === 200 ? '' : reply.body]).toEqual([path, 200, '']);
    return reply.json();
  };
  return { teacher, get, close };
}

test.each(readdirSync(FOLDER))('the school of %s is read: lessons, dials, every session, and its rooms go on', async (file) => {
  const { teacher, get, close } = await openSchool(file);
  for (const { id, problem } of await get('/api/lessons')) {
    expect(problem).toBeNull();
    await get(`/api/lessons/${id}`);
  }
  for (const dial of await get('/api/dials'))
    expect(dial).toMatchObject({ problem: null, build: { layers: { ring24: expect.any(Boolean) } } });
  const sessions = await get('/api/sessions');
  expect(sessions.length).toBeGreaterThan(0);
  for (const { id, title, phase } of sessions) {
    const detail = await get(`/api/sessions/${id}`);
    expect(detail).toMatchObject({ lesson: { title }, live: { room: { phase } }, unreadable: [] });
    if (phase !== 'running') continue;
    const end = { id: '99999999-9999-4999-8999-999999999999', command: { type: 'end' } };
    expect((await teacher.send('POST', `/api/sessions/${id}/commands`, end)).json()).toMatchObject({ room: { phase: 'ended' } });
  }
  await close();
});

test('the rooms of version 0001 stand where they stood, with their questions and answers', async () => {
  const { get, close } = await openSchool('0001.sql');
  const details = await Promise.all((await get('/api/sessions')).map(({ id }: { id: string }) => get(`/api/sessions/${id}`)));
  const [taught, aside, demonstration] = ['ended', 'b5', 'b16'].map((wanted) =>
    details.find(({ live: { room } }) => room.phase === wanted || (room.phase === 'running' && room.run.at.beatId === wanted)),
  );
  expect(taught.live.responses).toHaveLength(72);
  expect(taught.live.room.run.askings.map(({ id, phase }: { id: string; phase: string }) => [id, phase])).toEqual([
    ['q1', 'revealed'],
    ['q2', 'revealed'],
    ['q3', 'revealed'],
  ]);
  expect(aside.live.room).toMatchObject({ run: { at: { step: 'minute-hand' } }, aside: { timeSec: 16_500 } });
  expect(
    demonstration.live.responses.map(({ askingId, mark }: { askingId: string; mark: { verdict: string } }) => [askingId, mark.verdict]),
  ).toEqual([
    ['q1', 'not-yet'],
    ['q1', 'not-yet'],
  ]);
  await close();
});
