import { CoreError } from '@zeitpunkt/core/errors';
import { Worker } from 'node:worker_threads';
import { errorOf, memoryOf, type FromWorker, type ToWorker } from './messages.js';
import type { Piece, Work } from './work.js';

export interface WorkThreadOptions {
  /** The script that the thread runs. */
  readonly script: string;
  /** The database of the school. */
  readonly file: string;
  /** How large it may become, in bytes; left out where its disk alone bounds it. */
  readonly quotaBytes?: number | null;
  /** Is told what ended the thread before its time. */
  readonly onFault: (error: Error) => void;
  /** After how many milliseconds without a word it is ended. */
  readonly stuckMs?: number;
}

/** Work gives way again and again; a thread that has not for so long, in milliseconds, will not any more. */
const STUCK_MS = 30_000;
/** So often in that time it is looked after. */
const LOOKS = 10;

interface Waiting {
  readonly resolve: (value: never) => void;
  readonly reject: (error: Error) => void;
}

/**
 * Heavy work in a thread of its own. It begins when it is first needed. Should it end by a fault, whoever waits is told, and
 * it begins anew with the next work.
 */
export class WorkThread implements Work {
  private worker: Worker | null = null;
  private readonly waiting = new Map<number, Waiting>();
  private last = 0;
  /** When the thread was last heard, by the server's steady clock. */
  private heardAtMs = 0;

  private readonly stuckMs: number;

  constructor(private readonly options: WorkThreadOptions) {
    this.stuckMs = options.stuckMs ?? STUCK_MS;
  }

  ask: Work['ask'] = (name, ...input) => this.once('ask', name, input);
  json: Work['json'] = (name, ...input) => this.once('json', name, input);

  tell: Work['tell'] = (name, ...input) => {
    if (this.worker) this.post({ id: (this.last += 1), type: 'ask', name, input }, input);
  };

  flow: Work['flow'] = (name, ...input) => this.pieces(name, input);

  private async *pieces(name: string, input: readonly unknown[]): AsyncGenerator<Piece> {
    const id = (this.last += 1);
    const worker = this.post({ id, type: 'flow', name, input }, input);
    let ended = false;
    try {
      for (;;) {
        // A flow lives in the thread that began it.
        if (this.worker !== worker) throw cutOff();
        const piece = await this.answered<Piece | null>(id, () => this.post({ id, type: 'next' }));
        if (piece === null) return void (ended = true);
        yield piece;
      }
    } finally {
      if (!ended && this.worker === worker) this.post({ id, type: 'stop' });
    }
  }

  async close(): Promise<void> {
    const { worker } = this;
    this.worker = null;
    this.giveUp();
    await worker?.terminate(); // its exit is no fault now
  }

  private once<T>(type: 'ask' | 'json', name: string, input: readonly unknown[]): Promise<T> {
    const id = (this.last += 1);
    return this.answered(id, () => this.post({ id, type, name, input }, input));
  }

  private answered<T>(id: number, post: () => unknown): Promise<T> {
    return new Promise((resolve, reject) => {
      this.waiting.set(id, { resolve, reject });
      post();
    });
  }

  private post(message: ToWorker, input: readonly unknown[] = []): Worker {
    const worker = (this.worker ??= this.begin());
    worker.postMessage(message, memoryOf(input));
    return worker;
  }

  private begin(): Worker {
    const { script, file, quotaBytes = null, onFault } = this.options;
    const worker = new Worker(script, { workerData: { file, quotaBytes } });
    worker.unref(); // it does not keep the program running
    this.heardAtMs = performance.now();
    const look = setInterval(() => this.lookAfter(worker), this.stuckMs / LOOKS).unref();
    const ended = (error: Error) => {
      clearInterval(look);
      if (this.worker !== worker) return;
      this.worker = null;
      this.giveUp(); // whoever waits is told, whatever comes of telling the fault
      onFault(error);
    };
    worker.on('message', (message: FromWorker) => this.hear(message));
    worker.once('online', () => (this.heardAtMs = performance.now())); // a busy machine lets it wait
    worker.once('error', ended);
    worker.once('exit', (code) => ended(new Error(`The thread of heavy work ended with ${code}.`)));
    return worker;
  }

  /** A file that nobody foresaw may keep the thread for ever: it is ended, and whoever waits is told. */
  private lookAfter(worker: Worker): void {
    if (this.waiting.size === 0) this.heardAtMs = performance.now();
    if (performance.now() - this.heardAtMs > this.stuckMs) void worker.terminate();
    else worker.postMessage({ id: 0, type: 'still-there' } satisfies ToWorker);
  }

  private hear(message: FromWorker): void {
    this.heardAtMs = performance.now();
    if (message.type === 'still-there') return;
    const waiting = this.waiting.get(message.id);
    this.waiting.delete(message.id);
    if (message.type === 'failed') waiting?.reject(errorOf(message.failure));
    else waiting?.resolve((message.type === 'value' ? message.value : message.piece) as never);
  }

  private giveUp(): void {
    const waiting = [...this.waiting.values()];
    this.waiting.clear();
    for (const { reject } of waiting) reject(cutOff());
  }
}

const cutOff = () => new CoreError('STORE_BUSY', 'The server broke this work off. Nothing was changed: please try again in a moment.');
