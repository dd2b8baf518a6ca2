import { type ChildProcess, spawn } from 'node:child_process';
import { prepareLesson, type Lesson } from '@zeitpunkt/core';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type WebSocket from 'ws';
import { Client } from './http.js';

/** A server under load: pupils who can answer, and walls that hear of it. */
export interface Target {
  readonly pupils: readonly { answer(id: string): Promise<unknown> }[];
  /** Opens the first question in every room at once; resolves to the milliseconds until the last desk has it. */
  openQuestion(): Promise<number>;
  /** Memory of the server in MB. */
  memoryMb(): number;
  stop(): Promise<void>;
}

export type HeardOnWall = (id: string) => void;

const ROOM_SIZE = 30;

class Child {
  readonly dataDir = mkdtempSync(join(tmpdir(), 'zeitpunkt-bench-'));
  readonly sockets: WebSocket[] = [];
  private child!: ChildProcess;

  /** Starts a server; resolves with the line of JSON that it prints. */
  async start(entry: string, ...args: string[]): Promise<{ port: number } & Record<string, unknown>> {
    const child = spawn(process.execPath, [join(import.meta.dirname, entry), this.dataDir, ...args], {
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    this.child = child;
    const line = await new Promise<string>((resolve, reject) => {
      child.stdout.once('data', (data: Buffer) => resolve(String(data)));
      child.once('exit', (code) => reject(new Error(`${entry} ended with ${code}`)));
    });
    return JSON.parse(line) as { port: number };
  }

  memoryMb(): number {
    return Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${this.child.pid}/status`, 'utf8'))?.[1]) / 1024;
  }

  async stop(): Promise<void> {
    for (const socket of this.sockets) socket.terminate();
    const gone = new Promise((resolve) => this.child.once('exit', resolve));
    this.child.kill('SIGKILL');
    await gone;
    rmSync(this.dataDir, { recursive: true, force: true });
  }
}

/** Counts what desks are sent, and tells when each of them has been sent something. */
class Desks {
  private waiting = new Set<number>();
  private done: () => void = () => undefined;

  readonly heard = (desk: number) => {
    if (this.waiting.delete(desk) && this.waiting.size === 0) this.done();
  };

  /** Milliseconds from an act until the last of so many desks has been sent something. */
  async untilAllHear(count: number, act: () => Promise<unknown>): Promise<number> {
    this.waiting = new Set(Array.from({ length: count }, (_, desk) => desk));
    const start = performance.now();
    const all = new Promise<number>((resolve) => (this.done = () => resolve(performance.now() - start)));
    const [lasted] = await Promise.all([all, act()]);
    return lasted;
  }
}

const answerBody = (id: string) => ({ id, askingId: 'q1', response: { kind: 'read-dial', hour: '8', minute: '30' }, responseTimeMs: 4200 });

/** The bare floor with as many pupils, in rooms of thirty. */
export async function floorTarget(pupilCount: number, heard: HeardOnWall): Promise<Target> {
  const server = new Child();
  const { port } = await server.start('floor-server.mjs');
  const desks = new Desks();
  const rooms: (() => Promise<unknown>)[] = [];
  const pupils: { answer(id: string): Promise<unknown> }[] = [];
  for (let index = 0; index < pupilCount; index++) {
    const room = Math.floor(index / ROOM_SIZE);
    const client = new Client(port);
    if (index % ROOM_SIZE === 0) {
      server.sockets.push(await client.socket(`/wall/${room}`, (text) => heard((JSON.parse(text) as { id: string }).id)));
      rooms.push(() => client.send('POST', `/open/${room}`));
    }
    server.sockets.push(await client.socket(`/desk/${room}`, () => desks.heard(index)));
    pupils.push({ answer: (id) => client.send('POST', `/answer/${room}`, answerBody(id)) });
  }
  const openQuestion = () => desks.untilAllHear(pupilCount, () => Promise.all(rooms.map((open) => open())));
  return { pupils, openQuestion, memoryMb: () => server.memoryMb(), stop: () => server.stop() };
}

interface Detail {
  readonly id: string;
  readonly roomKey: string[];
  readonly pupils: { id: string }[];
  readonly lesson: Lesson;
}

/** The real server: a teacher with running rooms at an open question, pupils joined with open desks. */
export async function zeitpunktTarget(pupilCount: number, heard: HeardOnWall): Promise<Target> {
  const server = new Child();
  const { port, signInName, password } = await server.start('zeitpunkt-server.mjs', String(Math.ceil(pupilCount / ROOM_SIZE)));
  const teacher = new Client(port);
  await teacher.send('POST', '/api/sign-in', { signInName, password });
  const lessons = await teacher.send<{ id: string }[]>('GET', '/api/lessons');
  const classes = await teacher.send<{ id: string; pupilCount: number }[]>('GET', '/api/classes');
  const desks = new Desks();
  const rooms: Room[] = [];
  const pupils: { answer(id: string): Promise<unknown> }[] = [];
  for (const { id: classId } of classes.filter((one) => one.pupilCount === ROOM_SIZE)) {
    const detail = await teacher.send<Detail>('POST', '/api/sessions', { id: randomUUID(), lessonId: lessons[0]!.id, classId });
    const onMessage = (text: string) => {
      const message = JSON.parse(text) as { type: string; response?: { id: string } };
      if (message.type === 'response') heard(message.response!.id);
    };
    server.sockets.push(await teacher.socket(`/ws/sessions/${detail.id}?window=console`, onMessage));
    for (const { id: pupilId } of detail.pupils.slice(0, pupilCount - pupils.length)) {
      const desk = new Client(port);
      await desk.send('POST', '/api/desk/join', { joinId: randomUUID(), roomKey: detail.roomKey, pupilId });
      const index = pupils.length;
      server.sockets.push(await desk.socket('/ws/desk', () => desks.heard(index)));
      pupils.push({ answer: (id) => desk.send('POST', '/api/desk/responses', answerBody(id)) });
    }
    rooms.push(await openFirstQuestion(teacher, detail));
  }
  const openQuestion = async () => {
    await desks.untilAllHear(pupilCount, () => Promise.all(rooms.map(({ goBefore }) => goBefore())));
    return desks.untilAllHear(pupilCount, () => Promise.all(rooms.map(({ goTo }) => goTo())));
  };
  return { pupils, openQuestion, memoryMb: () => server.memoryMb(), stop: () => server.stop() };
}

interface Room {
  /** Goes to the step where the first question is open, and to the one before it. */
  readonly goTo: () => Promise<unknown>;
  readonly goBefore: () => Promise<unknown>;
}

async function openFirstQuestion(teacher: Client, { id, lesson }: Detail): Promise<Room> {
  const tell = (command: object) => teacher.send('POST', `/api/sessions/${id}/commands`, { id: randomUUID(), command });
  const { steps } = prepareLesson(lesson);
  const step = steps.findIndex(({ beat }) => beat.kind === 'ask' && beat.itemId === 'q1');
  const go = (to: number) => tell({ type: 'go', to: steps[to]!.ref });
  await tell({ type: 'begin' });
  await go(step);
  return { goTo: () => go(step), goBefore: () => go(step - 1) };
}
