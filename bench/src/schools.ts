import { spawn, execFileSync, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { cpSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { prepareLesson } from '@zeitpunkt/core/lesson/prepare';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import { DEMO_SIGN_IN } from '../../server/src/demo/seed.js';
import { Child } from './child.js';
import { Client } from './http.js';
import type { Load, LoadOrder, LoadSpec } from './load-client.js';
import { median, ms, percentile } from './stats.js';

// Many schools on one machine, each a process and a database of its own that begins with the first request to its socket:
// 100 schools, 20 of them awake with a class of 30. How much memory each takes, how long waking takes, how soon answers are kept.
const SCHOOLS = Number(process.env['BENCH_SCHOOLS'] ?? 100);
const AWAKE = Number(process.env['BENCH_AWAKE'] ?? 20);
const CLASS = 30;
const SECONDS = 15;
const FLAGS = JSON.parse(readFileSync('server/v8-flags.json', 'utf8')) as string[];

interface School {
  readonly port: number;
  readonly process: ChildProcess;
}

const folder = mkdtempSync(join(tmpdir(), 'zeitpunkt-schools-'));
const running: ChildProcess[] = [];
process.once('exit', () => {
  for (const child of running) child.kill('SIGKILL');
  rmSync(folder, { recursive: true, force: true });
});

async function freePort(): Promise<number> {
  const server = createServer();
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const { port } = server.address() as AddressInfo;
  await new Promise((resolve) => server.close(resolve));
  return port;
}

/** A school behind its socket: systemd's own program holds it, and becomes the server with the first request. */
async function asleep(dataDir: string): Promise<School> {
  const port = await freePort();
  const settings = ['-E', `ZEITPUNKT_DATA=${dataDir}`, '-E', 'LOG_LEVEL=error'];
  const args = ['-l', `127.0.0.1:${port}`, ...settings, process.execPath, ...FLAGS, 'server/dist/main.js'];
  const child = spawn('systemd-socket-activate', args, { stdio: ['ignore', 'ignore', 'pipe'] });
  running.push(child);
  await new Promise<void>((resolve) => child.stderr!.once('data', () => resolve()));
  child.stderr!.resume();
  return { port, process: child };
}

/** Memory that a process has to itself, with its part of what it shares, in MB. Source: proc(5), smaps_rollup, Pss. */
const memoryMb = ({ process: { pid } }: School): number =>
  Number(/^Pss:\s+(\d+) kB/m.exec(readFileSync(`/proc/${pid}/smaps_rollup`, 'utf8'))![1]) / 1024;

async function wake({ port }: School): Promise<number> {
  const began = performance.now();
  await new Client(port).send('GET', '/health');
  return performance.now() - began;
}

/** A class of the school at an open question, its pupils in. */
async function teach({ port }: School): Promise<Pick<LoadSpec, 'pupils' | 'walls'>> {
  const teacher = new Client(port);
  await teacher.send('POST', '/api/sign-in', DEMO_SIGN_IN);
  const [lesson] = await teacher.send<{ id: string }[]>('GET', '/api/lessons');
  const classId = randomUUID();
  await teacher.send('POST', '/api/classes', { id: classId, name: 'Thirty' });
  const names = Array.from({ length: CLASS }, (_, index) => ({ id: randomUUID(), name: `Pupil ${index + 1}`, reference: null }));
  await teacher.send('POST', `/api/classes/${classId}/pupils`, { pupils: names });
  const start = { id: randomUUID(), lessonId: lesson!.id, classId };
  const room = await teacher.send<{ roomKey: string[]; lesson: Lesson }>('POST', '/api/sessions', start);
  const tell = (command: object) => teacher.send('POST', `/api/sessions/${start.id}/commands`, { id: randomUUID(), command });
  await tell({ type: 'door-admits', admits: 'class-list' });
  await tell({ type: 'begin' });
  const { steps } = prepareLesson(room.lesson);
  await tell({ type: 'go', to: steps.find(({ beat }) => beat.kind === 'ask' && beat.itemId === 'q1')!.ref });
  const pupils: LoadSpec['pupils'][number][] = [];
  for (const { id } of names) {
    const desk = new Client(port);
    await desk.send('POST', '/api/desk/join', { joinId: randomUUID(), roomKey: room.roomKey, pupilId: id });
    pupils.push({ path: '/api/desk/responses', cookie: desk.cookie, deskPath: '/ws/desk', port });
  }
  return { pupils, walls: [{ path: `/ws/sessions/${start.id}?window=console`, cookie: teacher.cookie, port }] };
}

const ANSWER = { id: 'ID', askingId: 'q1', response: { kind: 'read-dial', hour: '7', minute: '30' }, responseTimeMs: 3000, waitedMs: 0 };

/** As many answers a second as those classes give when all are asked at once: each pupil one within the time. */
async function load(taught: readonly Pick<LoadSpec, 'pupils' | 'walls'>[]): Promise<Load> {
  const client = new Child('load-client.mjs');
  const pupils = taught.flatMap((one) => one.pupils);
  const spec: LoadSpec = { port: 0, pupils, walls: taught.flatMap(({ walls }) => walls), answers: [JSON.stringify(ANSWER)] };
  await client.ask<unknown>({ type: 'connect', spec } satisfies LoadOrder);
  const rate = (seconds: number): Promise<{ done: Load }> =>
    client.ask({ type: 'rate', perSecond: pupils.length / seconds, answers: pupils.length } satisfies LoadOrder);
  await rate(5); // compiled code
  const { done } = await rate(SECONDS);
  await client.stop();
  return done;
}

const template = join(folder, 'template');
execFileSync(process.execPath, ['server/dist/main.js', '--demo', '--data', template, '--port', '0', '--idle', '0.02'], { stdio: 'ignore' });
const schools: School[] = [];
for (let index = 0; index < SCHOOLS; index++) {
  const dataDir = join(folder, String(index));
  cpSync(template, dataDir, { recursive: true });
  schools.push(await asleep(dataDir));
}
const sleepingMb = schools.map(memoryMb);

const [first, ...others] = schools.slice(0, AWAKE) as [School, ...School[]];
const aloneMs = await wake(first);
const taught = [await teach(first)];
const alone = await load(taught);
const aloneMb = memoryMb(first);
const togetherMs = await Promise.all(others.map(wake));
for (const school of others) taught.push(await teach(school));
const together = await load(taught);
const awakeMb = schools.slice(0, AWAKE).map(memoryMb);

const row = (name: string, value: string) => console.log(`  ${name.padEnd(60)} ${value}`);
console.log(`\n${SCHOOLS} schools on one machine, ${AWAKE} awake with a class of ${CLASS}`);
row('asleep, memory of what holds the socket, each', `${median(sleepingMb).toFixed(1)} MB (none, where systemd itself does)`);
row('woken alone, until the first answer', ms(aloneMs));
row(`${others.length} woken at once, median and slowest`, `${ms(median(togetherMs))}, ${ms(Math.max(...togetherMs))}`);
row('awake alone, memory', `${aloneMb.toFixed(0)} MB`);
row('awake among the others, memory each, median and most', `${median(awakeMb).toFixed(0)} MB, ${Math.max(...awakeMb).toFixed(0)} MB`);
row('all that are awake together', `${awakeMb.reduce((sum, one) => sum + one, 0).toFixed(0)} MB`);
row('answers of one class alone, acknowledged p50, p95', `${ms(alone.p50)}, ${ms(alone.p95)}`);
row(`answers of ${AWAKE} classes at once, acknowledged p50, p95`, `${ms(together.p50)}, ${ms(together.p95)}`);
row('p95 among the others against alone', `${(together.p95 / alone.p95).toFixed(2)} ×`);
row('on the wall p95', ms(together.wallP95));
row('slowest of waking, 95 of 100', ms(percentile(togetherMs, 0.95)));
process.exit(0);
