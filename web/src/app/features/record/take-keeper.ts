import type { RecordingDetail, TakePieces } from '@zeitpunkt/contract';
import { ApiProblem, ask, sendFile, sentenceOf } from '../../shared/api';
import { TakeStore, type KeptTake } from './take-store';
import type { WholeTake } from './finish-take';

/** A take of this page that the server does not have whole yet. */
interface Held {
  take: KeptTake;
  readonly pieces: ArrayBuffer[];
  /** How many of its pieces the server has; null until it was asked. */
  sent: number | null;
}

/** Where what was said is safe. */
export interface Safety {
  /** Takes that the server does not have whole yet. */
  readonly waiting: number;
  /** Whether this device keeps them, should the page be closed. */
  readonly deviceKeeps: boolean;
  /** The server was not reached at the last try. */
  readonly lineLost: boolean;
  readonly problem: string | null;
}

export interface KeeperTells {
  readonly safety: (safety: Safety) => void;
  /** The server has a take whole; what it holds now. */
  readonly kept: (detail: RecordingDetail) => void;
}

/** A finished sound is sent in pieces of this size: a minute of speech. */
const SOUND_PIECE_BYTES = 256 * 1024;

/** Pause before what waits is sent again; it doubles while nothing arrives. */
const RETRY_MS = 1500;
const LONGEST_RETRY_MS = 24_000;

/**
 * Keeps takes until the server has them: in memory, in the device's own store piece by piece as they come, and with the server
 * behind that. Whichever of these breaks, the others go on.
 */
export class TakeKeeper {
  private readonly store = new TakeStore();
  private readonly held = new Map<string, Held>();
  private deviceKeeps = true;
  private lineLost = false;
  private problem: string | null = null;
  private sending = false;
  private again = false;
  private timer = 0;
  private pauseMs = RETRY_MS;

  constructor(
    private readonly lessonId: string,
    private readonly tells: KeeperTells,
  ) {}

  /** Takes of this lesson that the device has from before. @returns those that were cut off, oldest first */
  async fromBefore(): Promise<KeptTake[]> {
    const takes = await this.onDevice(() => this.store.takesOf(this.lessonId));
    for (const take of takes ?? []) {
      const pieces = (await this.onDevice(() => this.store.pieces(take.id))) ?? [];
      this.held.set(take.id, { take, pieces, sent: null });
    }
    this.send();
    return (takes ?? []).filter(({ whole }) => whole === null);
  }

  async begin(take: KeptTake): Promise<void> {
    this.held.set(take.id, { take, pieces: [], sent: null });
    await this.onDevice(() => this.store.put(take));
    this.send();
  }

  async addPiece(takeId: string, bytes: ArrayBuffer): Promise<void> {
    const held = this.held.get(takeId);
    if (!held) return;
    const number = held.pieces.push(bytes) - 1;
    await this.onDevice(() => this.store.putPiece(takeId, number, bytes));
    this.send();
  }

  piecesOf(takeId: string): readonly ArrayBuffer[] {
    return this.held.get(takeId)?.pieces ?? [];
  }

  /** A take is whole: from now on that is kept and sent, and its pieces no more. */
  async finish(takeId: string, whole: WholeTake): Promise<void> {
    const held = this.held.get(takeId);
    if (!held) return;
    held.take = { ...held.take, mime: whole.take.mime, whole };
    await this.onDevice(() => this.store.put(held.take));
    this.send();
  }

  /** A take is not kept: it is gone from here, and from the server where something of it had come there. */
  async drop(takeId: string): Promise<void> {
    const held = this.held.get(takeId);
    this.held.delete(takeId);
    await this.onDevice(() => this.store.remove(takeId));
    if (held?.sent === null) return this.tellSafety();
    await ask('POST', `/api/lessons/${this.lessonId}/takes/${takeId}/delete`).catch(() => undefined); // it is cleared away with the recording
    this.tellSafety();
  }

  /** The takes that the server does not have yet, whole ones only. */
  get whole(): readonly WholeTake[] {
    return [...this.held.values()].flatMap(({ take }) => take.whole ?? []);
  }

  stop(): void {
    clearTimeout(this.timer);
  }

  /** Sends what waits, oldest first; asked for while it is at it, it goes round once more, and while the line is lost it waits. */
  send(): void {
    this.tellSafety();
    if (this.sending) this.again = true;
    else if (this.timer === 0) void this.sendAll();
  }

  /** Whether sending was asked for meanwhile; asked for once, it is done once. */
  private wasAskedAgain(): boolean {
    const { again } = this;
    this.again = false;
    return again;
  }

  private async sendAll(): Promise<void> {
    this.sending = true;
    this.again = false;
    try {
      do for (const held of [...this.held.values()]) await this.sendOne(held);
      while (this.wasAskedAgain());
      this.lineLost = false;
      this.problem = null;
      this.pauseMs = RETRY_MS;
    } catch (error) {
      if (error instanceof ApiProblem && error.mayPass) {
        this.lineLost = true;
        this.timer = window.setTimeout(() => {
          this.timer = 0;
          this.send();
        }, this.pauseMs);
        this.pauseMs = Math.min(this.pauseMs * 2, LONGEST_RETRY_MS);
      } else this.problem = sentenceOf(error); // refused for good: it stays on this device
    } finally {
      this.sending = false;
      this.tellSafety();
    }
  }

  private async sendOne(held: Held): Promise<void> {
    const { id, at, mime, whole } = held.take;
    const url = `/api/lessons/${this.lessonId}/takes`;
    held.sent ??= (await ask<TakePieces>('POST', url, { id, at, mime })).pieces;
    if (whole) {
      await this.sendSound(`${url}/${id}/sound`, mime, whole.sound);
      const detail = await ask<RecordingDetail>('POST', `${url}/${id}`, whole.take);
      this.held.delete(id);
      await this.onDevice(() => this.store.remove(id));
      this.tells.kept(detail);
      return;
    }
    for (let sent = held.sent; sent < held.pieces.length && this.held.has(id) && !held.take.whole; held.sent = sent) {
      const reply: TakePieces = await sendFile(`${url}/${id}/pieces/${sent}`, new Blob([held.pieces[sent]!]));
      sent = reply.pieces;
    }
  }

  /** Sends a finished sound piece by piece: a long one would not come through a slow line whole. */
  private async sendSound(url: string, mime: string, sound: ArrayBuffer): Promise<void> {
    const query = `?mime=${encodeURIComponent(mime)}&bytes=${sound.byteLength}`;
    for (let sent = 0; sent * SOUND_PIECE_BYTES < sound.byteLength;) {
      const piece = new Blob([sound.slice(sent * SOUND_PIECE_BYTES, (sent + 1) * SOUND_PIECE_BYTES)]);
      const { pieces }: TakePieces = await sendFile(`${url}/${sent}${query}`, piece);
      sent = pieces;
    }
  }

  private async onDevice<T>(work: () => Promise<T>): Promise<T | undefined> {
    try {
      return await work();
    } catch {
      this.deviceKeeps = false; // full, or a private window: said on the screen
      return undefined;
    }
  }

  private tellSafety(): void {
    this.tells.safety({
      waiting: this.held.size,
      deviceKeeps: this.deviceKeeps,
      lineLost: this.lineLost,
      problem: this.problem,
    });
  }
}
