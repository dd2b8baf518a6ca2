import { prepareLesson } from '@zeitpunkt/core/lesson/prepare';
import { ONLY_STEP, type StepRef } from '@zeitpunkt/core/lesson/step-ref';
import type { KeyPicture } from '@zeitpunkt/core/live/room-key';
import type { SessionDetail } from '@zeitpunkt/contract';
import type { FastifyInstance, InjectOptions, LightMyRequestResponse } from 'fastify';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { buildApp } from '../app.js';
import type { AppOptions } from '../shared.js';
import { openStore, type Store } from '../db/connection.js';

export const MIGRATIONS = resolve('server/drizzle');
export const SET_UP_CODE = '12345678';

/** A browser: it keeps the cookies it is given and sends them back. */
export class Browser {
  private readonly cookies = new Map<string, string>();
  constructor(private readonly school: School) {}

  async send(
    method: 'GET' | 'POST',
    url: string,
    payload?: unknown,
    headers: Record<string, string> = {},
  ): Promise<LightMyRequestResponse> {
    const options: InjectOptions = { method, url, headers: { host: 'school.test', cookie: this.cookie, ...headers } };
    const reply = await this.school.app.inject(payload === undefined ? options : { ...options, payload: payload as object });
    for (const { name, value } of reply.cookies) {
      if (value === '') this.cookies.delete(name);
      else this.cookies.set(name, value);
    }
    return reply;
  }

  get cookie(): string {
    return [...this.cookies].map(([name, value]) => `${name}=${value}`).join('; ');
  }
}

/** A server on a real database in a folder of its own. It can be stopped and started again on the same data. */
export class School {
  readonly dataDir = mkdtempSync(join(tmpdir(), 'zeitpunkt-test-'));
  app!: FastifyInstance;
  store!: Store;
  /** How large its database may become, in bytes; null for as large as it likes. */
  quotaBytes: number | null = null;
  clockMs = Date.UTC(2026, 10, 2, 9, 40);

  /** @param options or what makes them of the opened database */
  async start(options: Partial<AppOptions> | ((store: Store) => Partial<AppOptions>) = {}): Promise<this> {
    this.store = openStore({ dataDir: this.dataDir, migrationsDir: MIGRATIONS, quotaBytes: this.quotaBytes });
    const own = typeof options === 'function' ? options(this.store) : options;
    this.app = await buildApp({ store: this.store, nowMs: () => this.clockMs, setUpCode: SET_UP_CODE, ...own });
    await this.app.ready();
    return this;
  }

  /** Ends without a goodbye: nothing but what is on the disk survives. */
  async stop(): Promise<void> {
    await this.app.close();
    this.store.close();
  }

  async remove(): Promise<void> {
    await this.stop();
    rmSync(this.dataDir, { recursive: true });
  }

  browser(): Browser {
    return new Browser(this);
  }

  /** The first teacher, with class and starter lessons, signed in. */
  async teacher(): Promise<Browser> {
    const browser = this.browser();
    await browser.send('POST', '/api/set-up', {
      code: SET_UP_CODE,
      name: 'Ms Odalys Fenn',
      signInName: 'odalys',
      password: 'tern-harbour-lamp',
      className: 'Terns',
      pupilNames: ['Anouk', 'Bashir', 'Ceri'],
    });
    // Most tests are not about the door: pupils are in at once.
    this.store.sqlite.exec("UPDATE class SET door_admits = 'class-list'");
    return browser;
  }
}

/** A second teacher of a school, who came by invitation, signed in. */
export async function anotherTeacher(school: School, first: Browser): Promise<Browser> {
  const { code } = (await first.send('POST', '/api/staff/invitations', { id: randomUUID(), forWhom: 'Mr Quay' })).json();
  const browser = school.browser();
  const form = { code, name: 'Mr Quay', signInName: 'quay', password: 'another-long-one', className: 'Gannets', pupilNames: ['Ivo'] };
  await browser.send('POST', '/api/invitation', form);
  return browser;
}

/** A room of the first starter lesson, with ways to act in it over HTTP. */
export class TestRoom {
  private constructor(
    readonly school: School,
    readonly teacher: Browser,
    readonly detail: SessionDetail,
  ) {}

  /** @param lessonId the first of the school’s lessons when absent */
  static async open(school: School, teacher: Browser, lessonId?: string): Promise<TestRoom> {
    const lessons = (await teacher.send('GET', '/api/lessons')).json();
    const classes = (await teacher.send('GET', '/api/classes')).json();
    const start = { id: randomUUID(), lessonId: lessonId ?? lessons[0].id, classId: classes[0].id };
    return new TestRoom(school, teacher, (await teacher.send('POST', '/api/sessions', start)).json());
  }

  get key(): readonly KeyPicture[] {
    return this.detail.roomKey!;
  }

  pupilId(name: string): string {
    return this.detail.pupils.find((pupil) => pupil.name === name)!.id;
  }

  tell(command: object, id: string = randomUUID()): Promise<LightMyRequestResponse> {
    return this.teacher.send('POST', `/api/sessions/${this.detail.id}/commands`, { id, command });
  }

  /** Begins the lesson if need be and brings it to a beat about an item. */
  async goTo(kind: 'ask' | 'think' | 'answer', itemId: string): Promise<void> {
    const { steps } = prepareLesson(this.detail.lesson);
    const step = steps.find(({ beat }) => beat.kind === kind && 'itemId' in beat && beat.itemId === itemId);
    await this.tell({ type: 'begin' });
    await this.tell({ type: 'go', to: step!.ref });
  }

  /** A command that goes to the step of a beat by the beat's place in the lesson, from 1. */
  goToBeat(number: number): { type: 'go'; to: StepRef } {
    return { type: 'go', to: { beatId: `b${number}`, step: ONLY_STEP } };
  }

  async join(name: string): Promise<Browser> {
    const browser = this.school.browser();
    await browser.send('POST', '/api/desk/join', { joinId: randomUUID(), roomKey: this.key, pupilId: this.pupilId(name) });
    return browser;
  }

  live(): Promise<SessionDetail['live']> {
    return this.teacher.send('GET', `/api/sessions/${this.detail.id}`).then((reply) => reply.json<SessionDetail>().live);
  }
}

/** A response to the first question of the first starter lesson, 7:30. */
export function reading(hour: string, minute: string, id: string = randomUUID()) {
  return { id, askingId: 'q1', response: { kind: 'read-dial', hour, minute }, responseTimeMs: 4200 };
}

/** Sends a response from a pupil's desk. */
export const respond = (pupil: Browser, body: unknown) => pupil.send('POST', '/api/desk/responses', body);

export type SchoolWithRoom = [school: School, teacher: Browser, room: TestRoom];

/** A school with its teacher, and a room of the first starter lesson. */
export async function schoolWithRoom(): Promise<SchoolWithRoom> {
  const school = await new School().start();
  const teacher = await school.teacher();
  return [school, teacher, await TestRoom.open(school, teacher)];
}
