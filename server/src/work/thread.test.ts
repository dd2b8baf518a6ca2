import { CoreError } from '@zeitpunkt/core/errors';
import type { LightMyRequestResponse } from 'fastify';
import { execFileSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { buildApp } from '../app.js';
import { respond, reading, schoolWithRoom, type School, type TestRoom } from '../testing/school.js';
import { WorkThread } from './thread.js';

const BUNDLED = `node_modules/.cache/zeitpunkt/worker-of-${process.pid}.mjs`;
const scripts = mkdtempSync(join(tmpdir(), 'zeitpunkt-scripts-'));

beforeAll(() => {
  const bundle = `import { bundle } from './tools/lib/bundle.mjs'; await bundle('server/src/work/worker.ts', '${BUNDLED}');`;
  execFileSync(process.execPath, ['--input-type=module', '--eval', bundle]);
});

afterAll(() => {
  rmSync(resolve(BUNDLED), { force: true });
  rmSync(`${resolve(BUNDLED)}.map`, { force: true });
  rmSync(scripts, { recursive: true });
});

const threads = () => readdirSync('/proc/self/task').map(Number);
/** How much a thread gives way, 0 to 19; the name of a thread, in brackets, may hold spaces. Source: proc(5), field 19 of stat. */
const nice = (id: number) => Number(readFileSync(`/proc/self/task/${id}/stat`, 'utf8').split(') ')[1]!.split(' ')[16]);
/** Threads that give way more than the one of the server's loop; one may end while it is looked at. */
const givesWay = (id: number) => {
  try {
    return nice(id) > nice(process.pid);
  } catch {
    return false;
  }
};

const script = (text: string) => {
  const path = join(scripts, `${randomUUID()}.mjs`);
  writeFileSync(path, `import { parentPort } from 'node:worker_threads';\n${text}`);
  return path;
};

describe('in a thread of its own', () => {
  let school: School;
  let room: TestRoom;
  let cookie: string;
  let work: WorkThread;
  let app: Awaited<ReturnType<typeof buildApp>>;

  beforeAll(async () => {
    [school, , room] = await schoolWithRoom();
    cookie = room.teacher.cookie;
    await room.goTo('ask', 'q1');
    await respond(await room.join('Anouk'), reading('7', '30'));
    await room.tell({ type: 'end' });
    const onFault = (error: Error) => {
      throw error;
    };
    work = new WorkThread({ script: resolve(BUNDLED), file: school.store.sqlite.name, onFault });
    app = await buildApp({ store: school.store, nowMs: () => school.clockMs, work });
  });

  afterAll(async () => {
    await app.close();
    await school.remove();
  });

  const send = (method: 'GET' | 'POST', url: string, payload?: object, type = 'application/json'): Promise<LightMyRequestResponse> =>
    app.inject({
      method,
      url,
      headers: { host: 'school.test', cookie, ...(payload ? { 'content-type': type } : {}) },
      ...(payload && { payload }),
    });
  const sendFile = (url: string, file: Buffer) => send('POST', url, file, 'application/octet-stream');
  const classUrl = () => `/api/classes/${room.detail.classId}`;

  test('work gives what it gives in place, and sees what was written a moment ago', async () => {
    const wish = { id: randomUUID(), rung: 'half-past', minutes: 10, delivery: 'live', classId: room.detail.classId };
    const added = (await send('POST', '/api/lessons', wish)).json();
    const drafted = (await send('GET', `/api/lessons/${wish.id}`)).json();
    expect(drafted.lesson.rung).toBe('half-past');
    expect((await send('POST', '/api/lessons', wish)).json()).toEqual(added);
    for (const url of ['/api/lessons', `${classUrl()}/answers`, `${classUrl()}/standing`, `${classUrl()}/results.csv`]) {
      expect((await send('GET', url)).body).toBe((await room.teacher.send('GET', url)).body);
    }
    if (process.platform === 'linux') expect(threads().filter(givesWay).map(nice)).toContain(nice(process.pid) + 10);
    const facts = (await send('GET', '/api/lessons')).json().find(({ id }: { id: string }) => id === wish.id).facts;
    expect(facts).toMatchObject({ rung: 'half-past', beatCount: drafted.lesson.beats.length });
  });

  test('files go in and out, and a problem is told as it is in place', async () => {
    const archive = (await send('GET', `${classUrl()}/everything.zip`)).rawPayload;
    const refused = await sendFile('/api/archives/take', archive);
    expect([refused.statusCode, refused.json().code]).toEqual([409, 'CLASS_HERE']);
    const results = (await send('GET', `${classUrl()}/results.xapi.json`)).rawPayload;
    expect((await sendFile(`${classUrl()}/results/take`, results)).json()).toMatchObject({ rows: 1, known: 1, added: 0 });
    const broken = await sendFile(`${classUrl()}/results/look`, Buffer.from('pupil,answer\nAnouk,7\n'));
    expect(broken.json()).toMatchObject({ code: 'RESULTS_UNREADABLE', detail: expect.stringContaining('data_json') });
    expect((await sendFile('/api/roster-files', Buffer.from('name\nZoë\n'))).json().rows).toHaveLength(2);
    expect((await sendFile('/api/calendars/look', Buffer.from('no calendar'))).json().code).toBe('FILE_UNREADABLE');
  });

  test('who stops taking pieces stops the work; other work goes on', async () => {
    for await (const piece of work.flow('csv', room.detail.classId, null)) {
      expect(piece).toContain('pupil');
      break;
    }
    expect(await work.ask('roster', [Uint8Array.from(Buffer.from('name\nZoë\n'))])).toMatchObject({ encoding: 'UTF-8' });
  });
});

test.each([
  ['that ends', "parentPort.on('message', () => process.exit(3));", /ended with 3/, 30_000],
  ['that fails', "parentPort.on('message', () => { throw new Error('a fault of ours'); });", /a fault of ours/, 30_000],
  ['that never gives way', "parentPort.on('message', () => { for (;;); });", /ended with 1/, 200],
])('a thread %s keeps nobody waiting, and work begins anew', async (_what, text, why, stuckMs) => {
  const faults: string[] = [];
  const work = new WorkThread({ script: script(text), file: '', onFault: ({ message }) => faults.push(message), stuckMs });
  for (let time = 1; time <= 2; time++) {
    await expect(work.ask('roster', [])).rejects.toMatchObject({ code: 'STORE_BUSY' } satisfies Partial<CoreError>);
    expect(faults).toHaveLength(time);
  }
  await expect(work.flow('csv', 'c', null).next()).rejects.toThrow(CoreError);
  expect(faults[0]).toMatch(why);
  await work.close();
});
