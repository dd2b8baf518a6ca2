import { once } from 'node:events';
import { RawHttp } from './raw-http.js';
import { RawSocket } from './raw-socket.js';
import { percentile } from './stats.js';

// Loads a server, in a process of its own: raw sockets, requests whose bytes are made beforehand, and a parser that looks
// for no more than the end of a reply. A client that is busier than the server would measure itself.

/** What the client loads, of one server or, where ports stand beside, of several: an address to post to and the cookie to send for each pupil, and the lines of all windows. */
export interface LoadSpec {
  readonly port: number;
  readonly pupils: readonly { readonly path: string; readonly cookie: string; readonly deskPath: string; readonly port?: number }[];
  readonly walls: readonly { readonly path: string; readonly cookie: string; readonly port?: number }[];
  /** JSON of different answers; ID stands where the id comes. */
  readonly answers: readonly string[];
}

export type LoadOrder =
  | { readonly type: 'connect'; readonly spec: LoadSpec }
  /** So many answers at an even rate. */
  | { readonly type: 'rate'; readonly perSecond: number; readonly answers: number }
  /** Every pupil once, spread over so many milliseconds. */
  | { readonly type: 'flash'; readonly spreadMs: number }
  /** Begins to wait for the next message to every desk. */
  | { readonly type: 'watch-desks' }
  /** Milliseconds since then until the last desk has it. */
  | { readonly type: 'desks-heard' };

export interface Load {
  readonly p50: number;
  readonly p95: number;
  readonly p99: number;
  readonly wallP95: number;
  readonly answers: number;
  /** Answers a second that were acknowledged. */
  readonly rate: number;
}

let spec: LoadSpec;
let pupils: RawHttp[] = [];
/** When an answer was seen on a wall, by its id. */
let seen = new Map<string, number>();
let unheard = 0;
let watchedAt = 0;
let lastHeardMs: Promise<number> = Promise.resolve(0);
let heardAll: (ms: number) => void = () => undefined;
let heardBy = new Uint8Array(0);

const ID_ON_WALL = /"id":"([0-9a-f-]{36})"/;

async function connect(to: LoadSpec): Promise<void> {
  spec = to;
  pupils = spec.pupils.map(({ port = spec.port }) => new RawHttp(port));
  await Promise.all(pupils.map((pupil) => pupil.open()));
  for (const { path, cookie, port = spec.port } of spec.walls) {
    await new RawSocket(port, path, cookie, (text) => {
      if (!text.startsWith('{"type":"response"')) return;
      const id = ID_ON_WALL.exec(text)?.[1];
      if (id) seen.set(id, performance.now());
    }).open();
  }
  heardBy = new Uint8Array(spec.pupils.length);
  await Promise.all(
    spec.pupils.map(({ deskPath, cookie, port = spec.port }, desk) => new RawSocket(port, deskPath, cookie, () => deskHeard(desk)).open()),
  );
}

function deskHeard(desk: number): void {
  if (unheard === 0 || heardBy[desk]) return;
  heardBy[desk] = 1;
  unheard -= 1;
  if (unheard === 0) heardAll(performance.now() - watchedAt);
}

function watchDesks(): void {
  heardBy.fill(0);
  unheard = heardBy.length;
  watchedAt = performance.now();
  lastHeardMs = new Promise((resolve) => (heardAll = resolve));
}

/** The numbers below one in a random order. */
function shuffled(count: number): number[] {
  const all = Array.from({ length: count }, (_, index) => index);
  for (let left = count - 1; left > 0; left--) {
    const at = Math.floor(Math.random() * (left + 1));
    [all[left], all[at]] = [all[at]!, all[left]!];
  }
  return all;
}

let answersMade = 0;
/** An id like those that devices make. */
function nextId(): string {
  answersMade += 1;
  const tail = answersMade.toString(16).padStart(12, '0');
  return `${process.pid.toString(16).padStart(8, '0')}-0000-4000-8000-${tail}`;
}

/** Sends answers at their moments, each as soon as its pupil's socket is free. */
async function load(count: number, momentMs: (index: number) => number): Promise<Load> {
  seen = new Map();
  // Pupils of all rooms in no order, each with an answer of their own.
  const order = shuffled(spec.pupils.length);
  const answers = Array.from({ length: count }, (_, index) => {
    const id = nextId();
    const pupil = order[index % order.length]!;
    const { path, cookie } = spec.pupils[pupil]!;
    const answer = spec.answers[Math.floor(Math.random() * spec.answers.length)]!;
    return { id, pupil, bytes: RawHttp.post(path, cookie, answer.replace('ID', id)) };
  });
  const [sentAt, ackMs] = [new Float64Array(count), new Float64Array(count)];
  const start = performance.now() + 20;
  let acknowledged = 0;
  let finish: () => void = () => undefined;
  const finished = new Promise<void>((resolve) => (finish = resolve));
  const send = (index: number) => {
    // Behind an answer of the same pupil the clock runs from the moment it should have gone out.
    sentAt[index] = start + momentMs(index);
    pupils[answers[index]!.pupil]!.send(answers[index]!.bytes, (status) => {
      if (status !== 200) throw new Error(`An answer came back with ${status}.`);
      ackMs[index] = performance.now() - sentAt[index]!;
      acknowledged += 1;
      if (acknowledged === count) finish();
    });
  };
  let next = 0;
  const tick = () => {
    const now = performance.now() - start;
    while (next < count && momentMs(next) <= now) send(next++);
    if (next < count) setTimeout(tick, 1);
  };
  tick();
  await finished;
  const tookMs = performance.now() - start;
  for (let wait = 0; wait < 400 && answers.some(({ id }) => !seen.has(id)); wait++) await new Promise((resolve) => setTimeout(resolve, 5));
  const wallMs = answers.map(({ id }, index) => (seen.get(id) ?? Infinity) - sentAt[index]!);
  const part = (values: ArrayLike<number>, of: number) => percentile(Array.from(values), of);
  return {
    p50: part(ackMs, 0.5),
    p95: part(ackMs, 0.95),
    p99: part(ackMs, 0.99),
    wallP95: part(wallMs, 0.95),
    answers: count,
    rate: (count * 1000) / tookMs,
  };
}

async function carryOut(order: LoadOrder): Promise<unknown> {
  switch (order.type) {
    case 'connect':
      return connect(order.spec);
    case 'rate':
      return load(order.answers, (index) => (index * 1000) / order.perSecond);
    case 'flash':
      return load(pupils.length, (index) => (index * order.spreadMs) / pupils.length);
    case 'watch-desks':
      return watchDesks();
    case 'desks-heard':
      return lastHeardMs;
  }
}

for (;;) {
  const [order] = (await once(process, 'message')) as [LoadOrder];
  process.send!({ done: (await carryOut(order)) ?? null });
}
