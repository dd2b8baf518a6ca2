import type { SheetVersion } from '@zeitpunkt/core/paper/versions';
import type { FromPaperWorker, VersionsWish } from '../../shared/paper/paper-messages';
import { startPaper } from '../../shared/paper/start-paper';
import { PAPER_WORDS } from './words';

/** What is told when versions are drawn, or cannot be. */
export interface VersionsHearer {
  drawn(versions: readonly SheetVersion[]): void;
  failed(sentence: string): void;
}

/**
 * Draws the versions of a sheet in a worker of its own: six versions of many questions take seconds on a slow machine.
 * @returns stops the work
 */
export function drawVersions(wish: VersionsWish, hearer: VersionsHearer): () => void {
  const worker = startPaper();
  worker.addEventListener('message', ({ data }: MessageEvent<FromPaperWorker>) => {
    worker.terminate();
    if (data.type === 'drawn') hearer.drawn(data.versions);
    if (data.type === 'failed') hearer.failed(PAPER_WORDS().versionsFailed);
  });
  worker.addEventListener('error', () => hearer.failed(PAPER_WORDS().versionsBroken));
  worker.postMessage({ type: 'draw', number: 0, wish });
  return () => worker.terminate();
}
