import { draftLesson } from '@zeitpunkt/core/draft/draft';
import { prepareLesson } from '@zeitpunkt/core/lesson/prepare';
import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import { randomUUID } from 'node:crypto';
import { setTimeout } from 'node:timers/promises';
import { Child } from './child.js';
import { Client } from './http.js';
import type { Load, LoadOrder } from './load-client.js';
import { median, ms } from './stats.js';

// A class answers, 30 answers a second, while another teacher does whatever takes long: the same run without it beside it.
// Goals: answers' p95 at most twice that of the run without, and the server's loop held for 20 ms at most.
const RUNS = Number(process.env['BENCH_RUNS'] ?? 3);
const PER_SECOND = 30;
const SECONDS = 6;
const LESSONS = 100;
/** Rows that are wanted, by a part of their name; all without one. */
const WANTED = process.env['BENCH_WORK'] ?? '';
/** The other teacher does it again so long after it was done. */
const PAUSE_MS = 100;

interface Ready {
  readonly port: number;
  readonly yearId: string;
  readonly signInName: string;
  readonly password: string;
}
interface Detail {
  readonly id: string;
  readonly roomKey: string[];
  readonly pupils: { id: string }[];
  readonly lesson: Parameters<typeof prepareLesson>[0];
  readonly live: { room: { run: { askings: { id: string; item: { kind: string } }[] } } };
}

const server = new Child('beside-server.mjs');
const { port, yearId, ...signIn } = await server.message<Ready>();
const held = async () => (await server.ask<{ heldMs: number }>({})).heldMs;
const teacher = new Client(port);
await teacher.send('POST', '/api/sign-in', signIn);

// A room in which a class answers.
const classes = await teacher.send<{ id: string; name: string }[]>('GET', '/api/classes');
const [lesson] = await teacher.send<{ id: string }[]>('GET', '/api/lessons');
const classId = classes.find(({ name }) => name === 'Answers')!.id;
const room = await teacher.send<Detail>('POST', '/api/sessions', { id: randomUUID(), lessonId: lesson!.id, classId });
const tell = (command: object) => teacher.send('POST', `/api/sessions/${room.id}/commands`, { id: randomUUID(), command });
const asks = prepareLesson(room.lesson).steps.find(({ beat }) => beat.kind === 'ask' && beat.itemId === 'q1')!;
await tell({ type: 'begin' });
await tell({ type: 'go', to: asks.ref });
const pupils = [];
for (const { id } of room.pupils) {
  const desk = new Client(port);
  await desk.send('POST', '/api/desk/join', { joinId: randomUUID(), roomKey: room.roomKey, pupilId: id });
  pupils.push({ path: '/api/desk/responses', cookie: desk.cookie, deskPath: '/ws/desk' });
}
const client = new Child('load-client.mjs');
const answers = ['8:30', '7:30', '6:38', '7:03', '?', '12:30', '7:35', '1:30', '5:30', '7:06'].map((said, index) => {
  const [hour, minute] = said.split(':');
  const response = minute === undefined ? { kind: 'not-sure' } : { kind: 'read-dial', hour, minute };
  return JSON.stringify({ id: 'ID', askingId: 'q1', response, responseTimeMs: 3000 + 100 * index, waitedMs: index });
});
const walls = [{ path: `/ws/sessions/${room.id}?window=console`, cookie: teacher.cookie }];
const load = async () =>
  (await client.ask<{ done: Load }>({ type: 'rate', perSecond: PER_SECOND, answers: PER_SECOND * SECONDS } satisfies LoadOrder)).done;

// What the other teacher has.
for (let made = 0; made < LESSONS; made++) {
  const file = draftLesson({ rung: 'half-past', minutes: 15, delivery: 'live', settings: DEFAULT_SETTINGS, seed: made % 4 });
  await teacher.send('POST', '/api/lessons/files', { id: randomUUID(), file });
}
const other = new Client(port);
await other.send('POST', '/api/sign-in', signIn);
const year = `/api/classes/${yearId}`;
const sessions = await teacher.send<{ id: string; classId: string }[]>('GET', '/api/sessions');
const ended = await other.send<Detail>('GET', `/api/sessions/${sessions.find((one) => one.classId === yearId)!.id}`);
const csv = await other.bytes('GET', `${year}/results.csv`);
const everything = await other.bytes('GET', `${year}/everything.zip`);
const weekly = Array.from({ length: 300 }, (_, entry) => `BEGIN:VEVENT\r\nUID:${entry}\r\nDTSTART;VALUE=DATE:202001${10 + (entry % 18)}\r\nRRULE:FREQ=WEEKLY\r\nEND:VEVENT`); // prettier-ignore
const calendar = Buffer.from(`BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//H//T//EN\r\n${weekly.join('\r\n')}\r\nEND:VCALENDAR\r\n`);
const roster = Buffer.from(`Name,Reference\n${Array.from({ length: 2000 }, (_, pupil) => `Pupil ${pupil},R${pupil}`).join('\n')}`);
let typed = 0;
const typeOne = () => {
  const { id: askingId, item } = ended.live.room.run.askings[0]!;
  const pupilId = ended.pupils[(typed += 1) % ended.pupils.length]!.id;
  return other.send('POST', `/api/sessions/${ended.id}/entered`, { id: randomUUID(), pupilId, askingId, source: 'paper', response: { kind: 'not-sure' } }).then(() => item); // prettier-ignore
};

const WORK: Readonly<Record<string, () => Promise<unknown>>> = {
  'list of 100 lessons': () => other.send('GET', '/api/lessons'),
  'a lesson drafted': () => other.send('POST', '/api/lessons', { id: randomUUID(), rung: 'five-to', minutes: 40, delivery: 'live', classId: yearId }), // prettier-ignore
  'an answer typed from paper': typeOne,
  'a taught lesson read': () => other.send('GET', `/api/sessions/${ended.id}`),
  'insight of a year': () => other.bytes('GET', `${year}/answers`),
  'standing of a class of a year': () => other.send('GET', `${year}/standing`),
  'results of a year out': () => other.bytes('GET', `${year}/results.csv`),
  'results of a year in': () => other.file(`${year}/results/take`, csv),
  'a class out as an archive': () => other.bytes('GET', `${year}/everything.zip`),
  'an archive looked at': () => other.file('/api/archives/look', everything).catch(() => undefined), // its answers are here already
  'a calendar looked at': () => other.file('/api/calendars/look', calendar),
  'a list of 2,000 pupils looked at': () => other.file('/api/roster-files', roster),
  'signing in': () => new Client(port).send('POST', '/api/sign-in', signIn),
};

console.log(`\nAnswers of a class beside other work: ${PER_SECOND} a second, medians of ${RUNS} paired runs`);
// Last of all: a line on which nothing is asked is closed after a while.
await client.ask<unknown>({ type: 'connect', spec: { port, pupils, walls, answers } } satisfies LoadOrder);
await load(); // warm
for (const [name, work] of Object.entries(WORK).filter(([row]) => new RegExp(WANTED).test(row))) {
  await work(); // what is read for the first time is read for the first time
  const [ratios, holds, times, bare]: [number[], number[], number[], number[]] = [[], [], [], []];
  for (let run = 0; run < RUNS; run++) {
    await held();
    const alone = await load();
    bare.push(await held());
    const state = { stopped: false };
    const busy = (async () => {
      while (!state.stopped) {
        const start = performance.now();
        await work();
        times.push(performance.now() - start);
        await setTimeout(PAUSE_MS);
      }
    })();
    const beside = await load();
    state.stopped = true;
    await busy;
    holds.push(await held());
    ratios.push(beside.p95 / alone.p95);
  }
  console.log(`  ${name.padEnd(34)} ${median(ratios).toFixed(2)} × p95 of answers, loop held ${ms(median(holds))} (${ms(Math.max(...holds))} at most), without it ${ms(median(bare))}; takes ${ms(median(times))}`); // prettier-ignore
}
await client.stop();
await server.stop();
