import { gearedPose } from '@zeitpunkt/core/dial/pose';
import type { LessonSettings } from '@zeitpunkt/core/lesson/settings';
import type { Item } from '@zeitpunkt/core/question-kinds/registry';
import { seededRng, type Rng } from '@zeitpunkt/core/random/rng';
import { type PupilProfile, simulateResponse } from '@zeitpunkt/core/rehearsal/simulated-pupil';
import { toSecondOfDay } from '@zeitpunkt/core/time/second-of-day';
import type { DeskMessage, DeskView, Join } from '@zeitpunkt/contract';
import { randomUUID } from 'node:crypto';
import { WebSocket } from 'ws';

/** How long a line that drops is gone, from and to, in milliseconds. */
const [SHORT_DROP_MS, LONG_DROP_MS] = [4000, 20_000];
/** Within this time after a call a pupil has answered it, in milliseconds. */
const CALL_MS = 6000;
/** So many say that they are ready. */
const READY = 0.85;

export interface DeviceNeeds {
  /** Where the server listens: "http://127.0.0.1:4700". */
  readonly base: string;
  readonly settings: LessonSettings;
  /** What is asked: a device is told only what a pupil sees, and a simulated pupil must know what there is to get wrong. */
  readonly itemOf: (askingId: string) => Item | undefined;
  readonly onFault: (error: unknown) => void;
}

/** How a simulated pupil is. */
export interface SimulatedPupil {
  readonly profile: PupilProfile;
  /** Chance that the line drops at a question, 0 to 1. */
  readonly dropOuts: number;
  /** How much longer than usual everything takes. */
  readonly slowness: number;
  readonly seed: number;
}

/** A simulated pupil's device: it comes in, listens and answers over the same HTTP and sockets as a real one. */
export class SimulatedDevice {
  private socket: WebSocket | null = null;
  private cookie = '';
  private readonly timers = new Set<NodeJS.Timeout>();
  /** Askings and calls that were acted on already. */
  private readonly seen = new Set<string>();
  private isClosed = false;

  constructor(
    private readonly pupil: SimulatedPupil,
    private readonly needs: DeviceNeeds,
  ) {}

  async comeIn(join: Join): Promise<void> {
    await this.post('/api/desk/join', join);
    if (!this.isClosed) this.open();
  }

  close(): void {
    this.isClosed = true;
    this.timers.forEach((timer) => clearTimeout(timer));
    this.socket?.terminate();
  }

  private open(): void {
    const socket = new WebSocket(`${this.needs.base.replace('http', 'ws')}/ws/desk`, { headers: { cookie: this.cookie } });
    this.socket = socket;
    socket.on('message', (data) => {
      const message = JSON.parse(String(data)) as DeskMessage;
      if (message.type === 'view') this.look(message.view);
      else if (message.type === 'released' || message.type === 'moved') this.close();
    });
    socket.on('error', (error) => {
      if (!this.isClosed) this.needs.onFault(error);
    });
  }

  private look({ phase, question, calls }: DeskView): void {
    if (phase === 'ended') return this.close();
    if (question?.phase === 'open' && !question.given) this.once(question.askingId, () => this.think(question.askingId));
    const { pulse, showMe } = calls;
    if (pulse && pulse.ready === null) {
      const rng = this.rngFor(`pulse ${pulse.id}`);
      this.once(`pulse ${pulse.id}`, () =>
        this.later(CALL_MS * this.pupil.slowness * rng(), () => this.post('/api/desk/ready', { pulse: pulse.id, ready: rng() < READY })),
      );
    }
    if (showMe) this.once('show me', () => this.turn());
    else this.seen.delete('show me');
  }

  private once(what: string, act: () => void): void {
    if (this.seen.has(what)) return;
    this.seen.add(what);
    act();
  }

  private think(askingId: string): void {
    const item = this.needs.itemOf(askingId);
    if (!item) return;
    const rng = this.rngFor(askingId);
    const { response, responseTimeMs } = simulateResponse(this.pupil.profile, item, this.needs.settings, rng);
    const post = { id: randomUUID(), askingId, response, responseTimeMs: Math.min(responseTimeMs, 86_400_000) };
    const drops = rng() < this.pupil.dropOuts;
    this.later(responseTimeMs, async () => {
      if (!drops) return this.post('/api/desk/responses', post);
      // The line drops as the answer is given: it waits on the device and goes out when the line is back.
      this.socket?.terminate();
      const waitedMs = Math.round((SHORT_DROP_MS + (LONG_DROP_MS - SHORT_DROP_MS) * rng()) * this.pupil.slowness);
      this.later(waitedMs, async () => {
        this.open();
        await this.post('/api/desk/responses', { ...post, waitedMs });
      });
    });
  }

  /** Turns the practice dial to some quarter of an hour, in a few steps. */
  private turn(): void {
    const rng = this.rngFor('show me');
    const quarter = Math.floor(rng() * 48);
    for (const [step, before] of [2, 1, 0].entries()) {
      const pose = gearedPose(toSecondOfDay((((quarter - before + 48) % 48) * 900) % 86_400));
      this.later(CALL_MS * this.pupil.slowness * (0.3 + 0.3 * step * rng()), () => this.post('/api/desk/shown', { pose }));
    }
  }

  /** Numbers of its own for each thing that is done, so that an answer is the same whatever was asked in passing before it. */
  private rngFor(what: string): Rng {
    const sum = [...what].reduce((hash, letter) => (Math.imul(hash, 31) + letter.charCodeAt(0)) | 0, this.pupil.seed);
    return seededRng(sum >>> 0);
  }

  private later(ms: number, work: () => Promise<void>): void {
    const timer = setTimeout(() => {
      this.timers.delete(timer);
      if (!this.isClosed) work().catch(this.needs.onFault);
    }, ms);
    this.timers.add(timer);
  }

  /** Posts as a browser does. What the server refuses, an answer after the end for one, a device lives with. */
  private async post(path: string, body: object): Promise<void> {
    const reply = await fetch(this.needs.base + path, {
      method: 'POST',
      headers: { 'content-type': 'application/json', cookie: this.cookie },
      body: JSON.stringify(body),
    });
    const set = reply.headers.getSetCookie().map((cookie) => cookie.split(';')[0]!);
    if (set.length > 0) this.cookie = set.join('; ');
    await reply.arrayBuffer();
  }
}
