import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import type { PaperPage, PaperSize } from '@zeitpunkt/core/paper/paper-page';
import { download, fileName } from '../download';
import type { FromPaperWorker, PaperOrder } from './paper-messages';
import { startPaper } from './start-paper';
import { deviceStore } from '../device-store';
import { sentenceOf } from '../api';
import { errorOf } from '../told-problem';
import { PAPER_FILE_WORDS } from './words';

/** How papers are wanted; kept on the device, since a teacher's printer stays the same. */
export interface PaperHabit {
  readonly size: PaperSize;
  readonly large: boolean;
  /** Black and white where it is not wished. */
  readonly inColour: boolean;
}

const KEPT = 'zeitpunkt-paper';
const device = deviceStore();
const USUAL: PaperHabit = { size: 'a4', large: false, inColour: false };

/** Where the making of a file stands. */
export type PaperMaking =
  | { readonly at: 'not' }
  | { readonly at: 'on'; readonly done: number; readonly of: number }
  | { readonly at: 'made'; readonly pages: number; readonly bytes: number }
  | { readonly at: 'failed'; readonly sentence: string };

/** What a paper is made of, without the size of the page. */
export type PaperWished = PaperOrder['wish'];

/** Makes papers in a worker of its own: pages to look at, and files. Provided by each place that prints. */
@Injectable()
export class PaperMaker {
  readonly habit = signal(readHabit());
  readonly pages = signal<readonly PaperPage[]>([]);
  /** Where each part of the paper begins among them: each copy of a sheet, each key. */
  readonly starts = signal<readonly number[]>([]);
  readonly hasMore = signal(false);
  /** Characters that the font does not have; they are left out. */
  readonly missing = signal<readonly string[]>([]);
  readonly making = signal<PaperMaking>({ at: 'not' });
  readonly isOn = computed(() => this.making().at === 'on');
  private worker: Worker | null = null;
  /** What was asked last; answers to anything before it are not looked at. */
  private number = 0;
  private settle: ((file: Blob | null) => void) | null = null;

  constructor() {
    inject(DestroyRef).onDestroy(() => this.worker?.terminate());
  }

  setHabit(habit: PaperHabit): void {
    this.habit.set(habit);
    device.set(KEPT, JSON.stringify(habit));
  }

  /** Shows the first pages of a paper. */
  look(wish: PaperWished | null): void {
    if (this.isOn()) return;
    this.making.set({ at: 'not' });
    if (!wish) {
      this.number += 1;
      return this.pages.set([]);
    }
    this.own().postMessage({ type: 'look', number: ++this.number, order: this.order(wish) });
  }

  /** Makes the file. @returns null when it was cancelled or failed, with the sentence in {@link making} */
  make(wish: PaperWished, title: string): Promise<Blob | null> {
    this.making.set({ at: 'on', done: 0, of: 1 });
    return new Promise((settle) => {
      this.settle = settle;
      this.own().postMessage({ type: 'make', number: ++this.number, order: this.order(wish), title });
    });
  }

  /** Makes the file and gives it out. @returns whether it was made */
  async save(wish: PaperWished, title: string): Promise<boolean> {
    const file = await this.make(wish, title);
    if (file) download(file, fileName(title, 'paper', 'pdf'));
    return file !== null;
  }

  /** Stops at once: a worker that is in the midst of a page hears nothing. */
  cancel(): void {
    this.end();
    this.making.set({ at: 'not' });
    this.done(null);
  }

  /** One that is over hears nothing: the next paper is made by another. */
  private end(): void {
    this.worker?.terminate();
    this.worker = null;
  }

  private order(wish: PaperWished): PaperOrder {
    const { inColour, ...look } = this.habit();
    return { wish, look, inColour };
  }

  private own(): Worker {
    if (!this.worker) {
      this.worker = startPaper();
      this.worker.addEventListener('message', ({ data }: MessageEvent<FromPaperWorker>) => this.hear(data));
      this.worker.addEventListener('error', () => {
        this.end();
        this.fail(PAPER_FILE_WORDS().broken);
      });
    }
    return this.worker;
  }

  private hear(message: FromPaperWorker): void {
    if (message.number !== this.number) return;
    switch (message.type) {
      case 'pages':
        this.pages.set(message.pages);
        this.starts.set(message.starts);
        this.hasMore.set(message.hasMore);
        return this.missing.set(message.missing);
      case 'progress':
        return this.making.set({ at: 'on', done: message.done, of: message.of });
      case 'made':
        this.missing.set(message.missing);
        this.making.set({ at: 'made', pages: message.pages, bytes: message.file.size });
        return this.done(message.file);
      case 'drawn': // in workers of its own, see draw-versions.ts
        return;
      case 'failed':
        return this.fail(sentenceOf(errorOf(message.problem)));
    }
  }

  private fail(sentence: string): void {
    this.making.set({ at: 'failed', sentence });
    this.done(null);
  }

  private done(file: Blob | null): void {
    this.settle?.(file);
    this.settle = null;
  }
}

function readHabit(): PaperHabit {
  try {
    const kept = JSON.parse(device.get(KEPT) ?? 'null') as Partial<PaperHabit> | null;
    return { size: kept?.size === 'letter' ? 'letter' : 'a4', large: kept?.large === true, inColour: kept?.inColour === true };
  } catch {
    return USUAL;
  }
}
