import type { PreparedLesson } from '@zeitpunkt/core/lesson/prepare';
import type { StepRef } from '@zeitpunkt/core/lesson/step-ref';
import { motionMs, narrationAt } from '@zeitpunkt/core/stage/player';
import { fingerprintOf } from '@zeitpunkt/core/voice/fingerprint';
import { LONGEST_TAKE_MS } from '@zeitpunkt/core/voice/take';
import { v4 as uuid } from 'uuid';
import type { TakeEncoder } from './encoder';
import { encoderOfBrowser } from './take-encoder';
import type { TakeKeeper } from './take-keeper';
import type { KeptTake } from './take-store';

/** A take as it begins: which step it is of, and what is said and moves there. */
export function newTake(lessonId: string, prepared: PreparedLesson, id: string, at: StepRef, mime: string): KeptTake {
  return {
    id,
    lessonId,
    at,
    mime,
    said: narrationAt(prepared, at),
    fingerprint: fingerprintOf(prepared, at),
    madeAtMs: Date.now(),
    moves: motionMs(prepared, at) > 0,
    whole: null,
  };
}

interface Begin {
  readonly lessonId: string;
  readonly prepared: PreparedLesson;
  readonly at: StepRef;
  readonly stream: MediaStream;
  readonly keeper: TakeKeeper;
}

/** The take that is being recorded, if there is one: its pieces go to the keeper as they come. */
export class TakeAtHand {
  private encoder: TakeEncoder | null = null;
  private taken: KeptTake | null = null;
  private tooLong = 0;

  constructor(
    private readonly on: {
      /** Its microphone is gone. */
      readonly gone: () => void;
      /** Half an hour is over: whoever spoke has gone away. */
      readonly forgotten: () => void;
    },
  ) {}

  get isThere(): boolean {
    return this.encoder !== null;
  }

  /** @returns whether this browser can record */
  begin({ lessonId, prepared, at, stream, keeper }: Begin): boolean {
    const start = encoderOfBrowser();
    if (!start) return false;
    const id = uuid();
    // The first piece may come before the device has begun to keep the take: pieces wait for that.
    let kept: Promise<void> = Promise.resolve();
    const encoder = start(stream, (bytes) => void (kept = kept.then(() => keeper.addPiece(id, bytes))), this.on.gone);
    this.taken = newTake(lessonId, prepared, id, at, encoder.mime);
    kept = keeper.begin(this.taken);
    this.encoder = { ...encoder, stop: () => encoder.stop().then(() => kept) };
    this.tooLong = window.setTimeout(this.on.forgotten, LONGEST_TAKE_MS);
    return true;
  }

  pause(): void {
    this.encoder?.pause();
  }

  resume(): void {
    this.encoder?.resume();
  }

  /** Ends it. @returns the take, and when all of it is kept; null where there was none */
  end(): { readonly kept: KeptTake; readonly stopped: Promise<unknown> } | null {
    const [ending, kept] = [this.encoder, this.taken];
    if (!ending || !kept) return null;
    [this.encoder, this.taken] = [null, null];
    clearTimeout(this.tooLong);
    return { kept, stopped: ending.stop() };
  }
}
