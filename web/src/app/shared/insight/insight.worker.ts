import { toldOf } from '../told-problem';
import { InsightEngine } from './insight-engine';
import type { InsightNews, InsightQuestion } from './insight-messages';
import { linesFromServer } from './lines-from-server';

const tell = (news: InsightNews) => postMessage(news);
const engine = new InsightEngine(linesFromServer);
/** One after the other: what is asked while answers are read waits for them. */
let before: Promise<unknown> = Promise.resolve();

addEventListener('message', ({ data: question }: MessageEvent<InsightQuestion>) => {
  const { id } = question;
  before = before.then(() =>
    engine
      .answer(question, (part) => tell({ id, type: 'progress', part }))
      .then(
        (reply) => tell({ id, type: 'done', reply }),
        (error: unknown) => tell({ id, type: 'failed', problem: toldOf(error) }),
      ),
  );
});
