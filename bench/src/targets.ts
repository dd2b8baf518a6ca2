import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import { prepareLesson } from '@zeitpunkt/core/lesson/prepare';
import { randomUUID } from 'node:crypto';
import { Child } from './child.js';
import { Client } from './http.js';
import type { Load, LoadOrder, LoadSpec } from './load-client.js';

const ROOM_SIZE = 30;
/** What a class answers to half past seven: right, and wrong in the ways that are usual. */
const SAID = ['7:30', '07:30', '8:30', '6:38', '7:6', '6:07', '7:35', '12:30', '1:30', null];
const ANSWERS = SAID.map((said, index) => {
  const [hour, minute] = said?.split(':') ?? [];
  const response = said === null ? { kind: 'not-sure' } : { kind: 'read-dial', hour, minute };
  return { id: 'ID', askingId: 'q1', response, responseTimeMs: 2600 + 700 * index, waitedMs: index };
});
const TEXTS = ANSWERS.map((answer) => JSON.stringify(answer));

/** A server in its process, and a client in another that loads it: desks and walls have their lines open. */
export class Target {
  private constructor(
    readonly server: Child,
    private readonly client: Child,
    private readonly openAll: readonly (() => Promise<unknown>)[],
    private readonly closeAll: readonly (() => Promise<unknown>)[],
    /** Opens rooms beside those under load, lets each pupil answer once, and ends them; empty for the floor. */
    readonly openAndEndRoom: () => Promise<void>,
  ) {}

  static async of(
    server: Child,
    spec: LoadSpec,
    openAll: readonly (() => Promise<unknown>)[],
    closeAll: readonly (() => Promise<unknown>)[] = [],
    openAndEndRoom: () => Promise<void> = async () => undefined,
  ): Promise<Target> {
    const client = new Child('load-client.mjs');
    await client.ask<unknown>({ type: 'connect', spec } satisfies LoadOrder);
    return new Target(server, client, openAll, closeAll, openAndEndRoom);
  }

  rate(perSecond: number, seconds: number): Promise<Load> {
    return this.order<Load>({ type: 'rate', perSecond, answers: Math.round(perSecond * seconds) });
  }

  flash(): Promise<Load> {
    return this.order<Load>({ type: 'flash', spreadMs: 100 });
  }

  /** Opens the first question in every room at once; resolves to the milliseconds until the last desk has it. */
  async openQuestion(): Promise<number> {
    await this.order({ type: 'watch-desks' });
    if (this.closeAll.length > 0) {
      await Promise.all(this.closeAll.map((close) => close()));
      await this.order<number>({ type: 'desks-heard' });
      await this.order({ type: 'watch-desks' });
    }
    await Promise.all(this.openAll.map((open) => open()));
    return this.order<number>({ type: 'desks-heard' });
  }

  async stop(): Promise<void> {
    await this.client.stop();
    await this.server.stop();
  }

  private async order<T>(order: LoadOrder): Promise<T> {
    return (await this.client.ask<{ done: T }>(order)).done;
  }
}

/** The bare floor with as many pupils, in rooms of thirty. */
export async function floorTarget(pupilCount: number): Promise<Target> {
  const server = new Child('floor-server.mjs');
  const { port } = await server.message<{ port: number }>();
  const roomOf = (pupil: number) => Math.floor(pupil / ROOM_SIZE);
  const pupils = Array.from({ length: pupilCount }, (_, pupil) => ({
    path: `/answer/${roomOf(pupil)}`,
    cookie: '',
    deskPath: `/desk/${roomOf(pupil)}`,
  }));
  const rooms = Array.from({ length: Math.ceil(pupilCount / ROOM_SIZE) }, (_, room) => room);
  const walls = rooms.map((room) => ({ path: `/wall/${room}`, cookie: '' }));
  const client = new Client(port);
  const open = rooms.map((room) => () => client.send('POST', `/open/${room}`));
  return Target.of(server, { port, pupils, walls, answers: TEXTS }, open);
}

interface Detail {
  readonly id: string;
  readonly roomKey: string[];
  readonly pupils: { id: string }[];
  readonly lesson: Lesson;
}

/** The real server: a teacher with running rooms at an open question, pupils joined. */
export async function zeitpunktTarget(pupilCount: number): Promise<Target> {
  const server = new Child('zeitpunkt-server.mjs', String(Math.ceil(pupilCount / ROOM_SIZE) + 1));
  const { port, ...signIn } = await server.message<{ port: number; signInName: string; password: string }>();
  const teacher = new Client(port);
  await teacher.send('POST', '/api/sign-in', signIn);
  const [lesson] = await teacher.send<{ id: string }[]>('GET', '/api/lessons');
  const classes = await teacher.send<{ id: string; pupilCount: number }[]>('GET', '/api/classes');
  const [spare, ...taught] = classes.filter((one) => one.pupilCount === ROOM_SIZE).map(({ id }) => id) as [string, ...string[]];
  const openRoom = (classId: string) => teacher.send<Detail>('POST', '/api/sessions', { id: randomUUID(), lessonId: lesson!.id, classId });
  const join = async ({ roomKey }: Detail, pupilId: string) => {
    const desk = new Client(port);
    await desk.send('POST', '/api/desk/join', { joinId: randomUUID(), roomKey, pupilId });
    return desk;
  };
  const [pupils, walls, rooms]: [{ path: string; cookie: string; deskPath: string }[], { path: string; cookie: string }[], Room[]] = [
    [],
    [],
    [],
  ];
  for (const classId of taught) {
    const detail = await openRoom(classId);
    walls.push({ path: `/ws/sessions/${detail.id}?window=console`, cookie: teacher.cookie });
    for (const { id } of detail.pupils.slice(0, pupilCount - pupils.length)) {
      const { cookie } = await join(detail, id);
      pupils.push({ path: '/api/desk/responses', cookie, deskPath: '/ws/desk' });
    }
    rooms.push(await openFirstQuestion(teacher, detail));
  }
  const openAndEndRoom = async () => {
    const detail = await openRoom(spare);
    const room = await openFirstQuestion(teacher, detail);
    const desks = await Promise.all(detail.pupils.map(({ id }) => join(detail, id)));
    await Promise.all(desks.map((desk) => desk.send('POST', '/api/desk/responses', { ...ANSWERS[0], id: randomUUID() })));
    await room.end();
  };
  // As after a restart: what was opened is read back.
  await server.ask<unknown>({ type: 'restart' });
  const spec = { port, pupils, walls, answers: TEXTS };
  return Target.of(
    server,
    spec,
    rooms.map(({ goTo }) => goTo),
    rooms.map(({ goBefore }) => goBefore),
    openAndEndRoom,
  );
}

interface Room {
  /** Goes to the step where the first question is open, and to the one before it. */
  readonly goTo: () => Promise<unknown>;
  readonly goBefore: () => Promise<unknown>;
  readonly end: () => Promise<unknown>;
}

async function openFirstQuestion(teacher: Client, { id, lesson }: Detail): Promise<Room> {
  const tell = (command: object) => teacher.send('POST', `/api/sessions/${id}/commands`, { id: randomUUID(), command });
  const { steps } = prepareLesson(lesson);
  const step = steps.findIndex(({ beat }) => beat.kind === 'ask' && beat.itemId === 'q1');
  const go = (to: number) => tell({ type: 'go', to: steps[to]!.ref });
  await tell({ type: 'begin' });
  await go(step);
  return { goTo: () => go(step), goBefore: () => go(step - 1), end: () => tell({ type: 'end' }) };
}
