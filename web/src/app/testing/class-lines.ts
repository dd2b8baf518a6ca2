import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import { markOf } from '@zeitpunkt/core/question-kinds/marking';
import type { Item, Response } from '@zeitpunkt/core/question-kinds/registry';
import { secondOfDay } from '@zeitpunkt/core/time/second-of-day';
import type { InsightLine } from '@zeitpunkt/contract';
import { ApiProblem } from '../shared/api';
import { toldOf } from '../shared/told-problem';
import { InsightEngine } from '../shared/insight/insight-engine';
import type { InsightNews, InsightQuestion } from '../shared/insight/insight-messages';

/** What the server would send of a class, line by line; a test puts it here. */
export const classLines: { lines: readonly InsightLine[]; problem: string | null } = { lines: [], problem: null };

/** The worker that was started last. */
export let insightWorker: ReturnType<typeof startInsight> | null = null;

/** Stands for the worker that knows a class: the same engine, in the page. Jest puts it in the place of start-insight. */
export function startInsight() {
  const engine = new InsightEngine(async function* () {
    if (classLines.problem) throw new ApiProblem('NOT_FOUND', classLines.problem);
    yield* classLines.lines.map((line) => JSON.stringify(line));
  });
  const worker = {
    onmessage: null as ((event: { data: InsightNews }) => void) | null,
    onerror: null as (() => void) | null,
    terminate: () => (worker.onmessage = null),
    postMessage(question: InsightQuestion) {
      const tell = (data: InsightNews) => worker.onmessage?.({ data });
      const { id } = question;
      engine
        .answer(question, (part) => tell({ id, type: 'progress', part }))
        .then(
          (reply) => tell({ id, type: 'done', reply }),
          (error: Error) => tell({ id, type: 'failed', problem: toldOf(error) }),
        );
    },
  };
  insightWorker = worker;
  return worker;
}

const DAY_MS = 86_400_000;
const TIMES = ['2:45', '7:45', '10:45', '5:45', '8:45', '11:45', '3:15', '9:15', '4:15', '6:15'];
const itemOf = (shown: string): Item => {
  const [hour = 0, minute = 0] = shown.split(':').map(Number);
  return { id: shown, kind: 'read-dial', timeSec: secondOfDay(hour, minute) };
};

/** How a pupil of the test class reads a time in its first lesson and in its second. */
type Reads = readonly [(shown: string) => string, (shown: string) => string];
const right = (shown: string) => shown;
const nearest = (shown: string) => shown.replace(/^\d+/, (hour) => String(Number(hour) + (shown.endsWith(':45') ? 1 : 0)));
const READS: Record<string, Reads> = { Anouk: [nearest, nearest], Bashir: [nearest, right], Ceri: [right, right] };

/** A class of four and its two lessons: Anouk holds *nearest hour*, Bashir let go of it, Ceri can do it, Dov was never there. */
export function terns(nowMs: number): readonly InsightLine[] {
  const pupils = ['Anouk', 'Bashir', 'Ceri', 'Dov'].map((name) => ({ id: name, name }));
  const session = (lesson: 0 | 1): InsightLine => {
    const atMs = nowMs - (lesson === 0 ? 35 : 1) * DAY_MS;
    return {
      line: 'session',
      id: `s${lesson}`,
      title: lesson === 0 ? 'Quarters at the tide gauge' : 'Quarters, once more',
      createdAtMs: atMs,
      pace: 'live',
      rung: 'quarter-to',
      settings: DEFAULT_SETTINGS,
      askings: TIMES.map((shown) => ({ id: shown, item: itemOf(shown) })),
      answers: TIMES.flatMap((shown) =>
        Object.entries(READS).map(([pupilId, reads]) => {
          const [hour = '', minute = ''] = reads[lesson](shown).split(':');
          const response: Response = { kind: 'read-dial', hour, minute };
          const { verdict, misconceptions: ideas } = markOf(itemOf(shown), response, DEFAULT_SETTINGS);
          const times = { responseTimeMs: 5000, atMs: atMs + 60_000, source: 'device' as const };
          return { id: `s${lesson} ${pupilId} ${shown}`, pupilId, askingId: shown, response, verdict, ideas, ...times };
        }),
      ),
    };
  };
  return [{ line: 'class', id: 'c1', name: 'Terns', pupils, sessions: 2 }, session(0), session(1)];
}
