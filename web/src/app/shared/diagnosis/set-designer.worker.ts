import { RUNGS } from '@zeitpunkt/core/ladder/registry';
import { QUESTION_KINDS, type Item } from '@zeitpunkt/core/question-kinds/registry';
import { seededRng } from '@zeitpunkt/core/random/rng';
import { designSet } from '@zeitpunkt/core/diagnosis/design-set';
import { poolOf } from '@zeitpunkt/core/diagnosis/pool';
import { toldOf } from '../told-problem';
import type { DesignNews, DesignWish } from './set-messages';

const tell = (news: DesignNews) => postMessage(news);
/** Making the questions takes about as long as choosing among them. */
const POOL_PART = 0.45;

addEventListener('message', ({ data }: MessageEvent<DesignWish>) => {
  try {
    const rung = RUNGS[data.rung];
    const pool: Item[] = [];
    const asked = new Set(data.asked.map(textOf));
    for (const item of poolOf(data.poolSize, rung, data.settings, data.seed)) {
      if (!asked.has(textOf(item))) pool.push(item);
      if (pool.length % 100 === 0) tell({ type: 'progress', part: (POOL_PART * pool.length) / data.poolSize });
    }
    const onProgress = (part: number) => {
      tell({ type: 'progress', part: POOL_PART + (1 - POOL_PART) * part });
      return false; // the page stops the worker itself
    };
    const thinkSec = ({ kind }: Item) => QUESTION_KINDS[kind].thinkSec;
    const set = designSet(pool, data.wish, rung, data.settings, seededRng(data.seed), thinkSec, onProgress);
    if (set) tell({ type: 'done', set });
  } catch (error) {
    tell({ type: 'failed', problem: toldOf(error) });
  }
});

function textOf({ id: _id, ...item }: Item): string {
  return JSON.stringify(item);
}
