import type { DesignedSet } from '@zeitpunkt/core/diagnosis/design-set';
import { ApiProblem } from '../api';
import { errorOf } from '../told-problem';
import type { DesignNews, DesignWish } from './set-messages';

/** A set that is being chosen; `stop` gives it up, and then it is never done. */
export interface Designing {
  readonly done: Promise<DesignedSet>;
  stop(): void;
}

/** Chooses a set of questions in a worker: the page stays quick meanwhile. */
export function designInWorker(wish: DesignWish, onProgress: (part: number) => void = () => undefined): Designing {
  let worker: Worker | null = null;
  let isStopped = false;
  const done = new Promise<DesignedSet>((resolve, reject) => {
    import('./start-designer').then(({ startDesigner }) => {
      if (isStopped) return;
      worker = startDesigner();
      worker.onmessage = ({ data }: MessageEvent<DesignNews>) => {
        if (data.type === 'progress') return onProgress(data.part);
        worker?.terminate();
        if (data.type === 'done') resolve(data.set);
        else reject(errorOf(data.problem));
      };
      worker.onerror = () => {
        worker?.terminate();
        reject(new ApiProblem('NOT_CHOSEN', 'The questions could not be chosen on this device.'));
      };
      worker.postMessage(wish);
    }, reject);
  });
  return {
    done,
    stop() {
      isStopped = true;
      worker?.terminate();
    },
  };
}
