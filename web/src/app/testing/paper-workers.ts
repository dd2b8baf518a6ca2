import type { FromPaperWorker, ToPaperWorker } from '../shared/paper/paper-messages';

/** Stands for the worker that makes papers: a test says what it answers. Jest puts it in the place of start-paper. */
export class PaperWorkerStandIn extends EventTarget {
  readonly asked: ToPaperWorker[] = [];
  isOver = false;

  postMessage(message: ToPaperWorker): void {
    this.asked.push(message);
  }

  terminate(): void {
    this.isOver = true;
  }

  answer(message: FromPaperWorker): void {
    if (!this.isOver) this.dispatchEvent(new MessageEvent('message', { data: message }));
  }
}

/** Every worker that was started, the latest last. */
export const paperWorkers: PaperWorkerStandIn[] = [];

export function startPaper(): Worker {
  const worker = new PaperWorkerStandIn();
  paperWorkers.push(worker);
  return worker as unknown as Worker;
}
