import type { Store } from '../db/connection.js';
import { archiveFlow, archiveTasks } from '../features/archive/tasks.js';
import { classTasks } from '../features/classes/tasks.js';
import { lessonTasks } from '../features/lessons/tasks.js';
import { liveTasks } from '../features/live/tasks.js';
import { planTasks } from '../features/plans/tasks.js';
import { questionTasks } from '../features/questions/tasks.js';
import { resultsFlow, resultsTasks } from '../features/results/tasks.js';
import { InsightLines } from '../features/review/insight-lines.js';
import { reviewFlow, reviewTasks } from '../features/review/tasks.js';

/**
 * Everything that takes longer than answers may wait: it is done beside the server's loop, on a connection of its own to the
 * same database. What a task is asked and what it gives goes from one thread to the other, so it is plain data.
 */
export function heavyTasks(store: Store) {
  const lines = new InsightLines(store.db);
  return {
    /** Asked and answered once. */
    ask: {
      ...lessonTasks(store.db),
      ...planTasks,
      ...classTasks(store.db),
      ...liveTasks(store.db),
      ...questionTasks,
      ...reviewTasks(store.db, lines),
      ...resultsTasks(store),
      ...archiveTasks(store),
    },
    /** Answered piece by piece, as whoever asked takes them. */
    flow: { ...reviewFlow(store.db, lines), ...resultsFlow(store.db), ...archiveFlow(store.db) },
  };
}

export type HeavyTasks = ReturnType<typeof heavyTasks>;
