import { prepareLesson } from '@zeitpunkt/core/lesson/prepare';
import type { SessionDetail } from '@zeitpunkt/contract';
import Database from 'better-sqlite3';
import { randomUUID } from 'node:crypto';
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
  const browser = () => new Browser({ app } as unknown as School);
  const teacher = browser();
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
  const text = async (path: string) => (await teacher.send('GET', path)).body;
  return { teacher, browser, get, text, close };
}

/** In a room that runs, the next question that was not asked yet is asked, and a pupil comes in and answers it. */
async function askAndAnswer({ teacher, browser, get }: Awaited<ReturnType<typeof openSchool>>, sessionId: string): Promise<void> {
  const tell = async (command: object) => {
    const reply = await teacher.send('POST', `/api/sessions/${sessionId}/commands`, { id: randomUUID(), command });
    expect([command, reply.statusCode]).toEqual([command, 200]);
  };
  const detail: SessionDetail = await get(`/api/sessions/${sessionId}`);
  if (detail.live.room.phase === 'lobby') await tell({ type: 'begin' });
  await tell({ type: 'door-admits', admits: 'class-list' });
  const asked = new Set(detail.live.room.run.askings.map(({ item }) => item.id));
  const next = prepareLesson(detail.lesson).steps.find(({ beat }) => beat.kind === 'ask' && !asked.has(beat.itemId));
  if (next) await tell({ type: 'go', to: next.ref });
  const pupil = detail.pupils.findLast(({ id }) => !detail.live.responses.some(({ pupilId }) => pupilId === id));
  const desk = browser();
  const joined = await desk.send('POST', '/api/desk/join', { joinId: randomUUID(), roomKey: detail.roomKey, pupilId: pupil!.id });
  expect([joined.statusCode, joined.body]).toEqual([200, expect.anything()]);
  const { id: askingId } = (await get(`/api/sessions/${sessionId}`)).live.room.run.askings.at(-1);
  const answer = await desk.send('POST', '/api/desk/responses', { id: randomUUID(), askingId, response: { kind: 'not-sure' }, responseTimeMs: 4000 }); // prettier-ignore
  expect([answer.statusCode, answer.body]).toEqual([200, expect.anything()]);
  const { responses } = (await get(`/api/sessions/${sessionId}`)).live;
  expect(responses).toContainEqual(expect.objectContaining({ askingId, pupilId: pupil!.id, response: { kind: 'not-sure' } }));
  await tell({ type: 'end' });
  expect(await get(`/api/sessions/${sessionId}`)).toMatchObject({ live: { room: { phase: 'ended' } } });
}

test('there is a school of every version of the tables', () => {
  const migrations = readdirSync(MIGRATIONS).filter((name) => name.endsWith('.sql'));
  expect(readdirSync(FOLDER).sort()).toEqual(migrations.map((name) => `${name.slice(0, 4)}.sql`).sort());
});

test.each(readdirSync(FOLDER))(
  'the school of %s is read, and taught from: lessons, plans, rooms, own pace, review, voice, paper, results',
  async (file) => {
    const school = await openSchool(file);
    const { teacher, get, text, close } = school;
    for (const { id, pupilCount } of await get('/api/classes')) {
      await get(`/api/classes/${id}/plan`);
      await get(`/api/classes/${id}/notes`);
      await get(`/api/classes/${id}/standing`);
      const lines = (await text(`/api/classes/${id}/answers`))
        .trim()
        .split('\n')
        .map((line) => JSON.parse(line).line);
      expect(lines.filter((line) => line === 'unreadable')).toEqual([]);
      const csv = await text(`/api/classes/${id}/results.csv`);
      expect([pupilCount > 0, csv.split('\r\n').length > 2]).toEqual([true, true]);
      const back = await teacher.send('POST', `/api/classes/${id}/results/look`, Buffer.from(csv), {
        'content-type': 'application/octet-stream',
      });
      expect(back.json()).toMatchObject({ added: 0, newPupils: [] });
    }
    for (const { id, problem } of await get('/api/lessons')) {
      expect(problem).toBeNull();
      await get(`/api/lessons/${id}`);
      await get(`/api/lessons/${id}/recording`);
      for (const sheet of (await get(`/api/lessons/${id}/sheets`)).sheets) await get(`/api/sheets/${sheet.id}`);
    }
    for (const dial of await get('/api/dials'))
      expect(dial).toMatchObject({ problem: null, build: { layers: { ring24: expect.any(Boolean) } } });
    const sessions = await get('/api/sessions');
    expect(sessions.length).toBeGreaterThan(0);
    for (const { id, title, phase, pace } of sessions) {
      const detail = await get(`/api/sessions/${id}`);
      await get(`/api/sessions/${id}/sheet`);
      if (pace === 'own') {
        const { live, roomKey } = await get(`/api/own-pace/${id}`);
        expect(live.places.length).toBeGreaterThan(0);
        if (live.byKey && live.endedAtMs === null) expect(roomKey).toHaveLength(6);
      }
      expect(detail).toMatchObject({ lesson: { title }, live: { room: { phase } }, unreadable: [] });
      if (phase === 'running' && pace !== 'own') await askAndAnswer(school, id);
    }
    // One of its lessons is taught from the beginning.
    const [[lesson], [terns]] = [await get('/api/lessons'), await get('/api/classes')];
    const room = (await teacher.send('POST', '/api/sessions', { id: randomUUID(), lessonId: lesson.id, classId: terns.id })).json();
    await askAndAnswer(school, room.id);
    await close();
  },
);

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
