import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import { prepareLesson } from '@zeitpunkt/core/lesson/prepare';
import { ownSteps } from '@zeitpunkt/core/run/own-pace';
import { randomUUID } from 'node:crypto';
import { WebSocket } from 'ws';
import { Child } from './child.js';
import { Client } from './http.js';
import { ms, percentile } from './stats.js';

// A thousand pupils at their own pace, each with an open line, while a thousand more are in 34 rooms: steps and answers at own
// pace, and what the others feel of it. The server is a process of its own; its processor time is what it used itself.
const PUPILS = Number(process.env['BENCH_PUPILS'] ?? 1000);
const ROOM_SIZE = 30;
const PER_SECOND = 200;
const SECONDS = 6;

interface Detail {
  readonly id: string;
  readonly roomKey: string[];
  readonly pupils: { readonly id: string }[];
  readonly lesson: Lesson;
}
interface Given {
  readonly id: string;
  readonly roomKey: string[];
  readonly lesson: Lesson;
  readonly live: { readonly places: { readonly pupilId: string }[] };
}

const classCount = Math.ceil(PUPILS / ROOM_SIZE);
const server = new Child('zeitpunkt-server.mjs', String(classCount));
const { port, ...signIn } = await server.message<{ port: number; signInName: string; password: string }>();
const teacher = new Client(port);
await teacher.send('POST', '/api/sign-in', signIn);
const [lesson] = await teacher.send<{ id: string }[]>('GET', '/api/lessons');
const classes = (await teacher.send<{ id: string; pupilCount: number }[]>('GET', '/api/classes')).filter(
  (one) => one.pupilCount === ROOM_SIZE,
);
const day = (plus: number) => new Date(Date.now() + plus * 86_400_000).toLocaleDateString('sv-SE');

const listen = (cookie: string) =>
  new Promise<WebSocket>((resolve, reject) => {
    const socket = new WebSocket(`ws://127.0.0.1:${port}/ws/desk`, { headers: { cookie } });
    socket.once('open', () => resolve(socket)).once('error', reject);
  });

const [own, led]: [Client[], Client[]] = [[], []];
let steps = ownSteps(prepareLesson((await teacher.send<{ lesson: Lesson }>('GET', `/api/lessons/${lesson!.id}`)).lesson));
for (const { id: classId } of classes) {
  const start = {
    id: randomUUID(),
    lessonId: lesson!.id,
    classId,
    pupilIds: null,
    firstDay: day(0),
    lastDay: day(3),
    byKey: true,
    voice: false,
  };
  const given = await teacher.send<Given>('POST', '/api/own-pace', start);
  const room = await teacher.send<Detail>('POST', '/api/sessions', { id: randomUUID(), lessonId: lesson!.id, classId });
  const tell = (command: object) => teacher.send('POST', `/api/sessions/${room.id}/commands`, { id: randomUUID(), command });
  await Promise.all(
    room.pupils.slice(0, PUPILS - led.length).map(async ({ id: pupilId }) => {
      for (const [all, roomKey] of [
        [own, given.roomKey],
        [led, room.roomKey],
      ] as const) {
        const desk = new Client(port);
        await desk.send('POST', '/api/desk/join', { joinId: randomUUID(), roomKey, pupilId });
        await listen(desk.cookie);
        all.push(desk);
      }
    }),
  );
  await tell({ type: 'begin' });
  await tell({ type: 'go', to: { beatId: 'b6', step: 'beat' } });
}
steps = steps.slice(0, 4);
const connected = await server.usage(true);

interface Measured {
  readonly p50: number;
  readonly p95: number;
  readonly count: number;
}

/** Makes requests at a steady rate, whoever's turn it is, and measures each. */
async function steady(desks: readonly Client[], request: (desk: Client, turn: number) => Promise<unknown>): Promise<Measured> {
  const took: number[] = [];
  const beganMs = performance.now();
  const open: Promise<void>[] = [];
  for (let turn = 0; turn < PER_SECOND * SECONDS; turn++) {
    const dueMs = beganMs + (turn * 1000) / PER_SECOND;
    const waitMs = dueMs - performance.now();
    if (waitMs > 0) await new Promise((resolve) => setTimeout(resolve, waitMs));
    const sentMs = performance.now();
    open.push(request(desks[turn % desks.length]!, turn).then(() => void took.push(performance.now() - sentMs)));
  }
  await Promise.all(open);
  return { p50: percentile(took, 0.5), p95: percentile(took, 0.95), count: took.length };
}

const answer = (desk: Client) =>
  desk.send('POST', '/api/desk/responses', {
    id: randomUUID(),
    askingId: 'q1',
    response: { kind: 'read-dial', hour: '8', minute: '30' },
    responseTimeMs: 4200,
  });
const go = (desk: Client, turn: number) => desk.send('POST', '/api/desk/own/go', { to: steps[turn % steps.length]!.ref });
const farthest = ownSteps(prepareLesson((await teacher.send<{ lesson: Lesson }>('GET', `/api/lessons/${lesson!.id}`)).lesson)).find(
  ({ beat }) => beat.kind === 'ask',
)!.ref;

const tell = (name: string, { p50, p95, count }: Measured, cpuMs?: number) =>
  console.log(
    `  ${name.padEnd(46)} p50 ${ms(p50)}, p95 ${ms(p95)}${cpuMs === undefined ? '' : `; ${(cpuMs / count).toFixed(2)} ms of processor each`}`,
  );

console.log(`\n${own.length} pupils at own pace and ${led.length} in ${classes.length} rooms, all with open lines; ${PER_SECOND} a second`);
await steady(led.slice(0, 200), answer); // compiled code
const alone = await steady(led, answer);
tell('answers in rooms, nobody at own pace moving', alone);
let before = await server.usage();
const stepped = await steady(own, go);
let after = await server.usage();
tell('steps at own pace', stepped, after.cpuMs - before.cpuMs);
const [together, meanwhile] = await Promise.all([steady(led, answer), steady(own, go)]);
tell('answers in rooms, while others step', together);
tell('steps at own pace, while others answer', meanwhile);
await Promise.all(own.map((desk) => desk.send('POST', '/api/desk/own/go', { to: farthest })));
before = await server.usage();
const answered = await steady(own, answer);
after = await server.usage();
tell('answers at own pace, each with its reason', answered, after.cpuMs - before.cpuMs);
const { rssMb } = await server.usage(true);
console.log(`  memory: ${Math.round(connected.rssMb)} MB connected, ${Math.round(rssMb)} MB after the load`);
await server.stop();
process.exit(0);
