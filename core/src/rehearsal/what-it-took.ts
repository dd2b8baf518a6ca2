import { beatKindOf } from '../beats/registry.js';
import { changeBeat, type ScriptEdit } from '../edit/edit.js';
import type { PreparedLesson } from '../lesson/prepare.js';
import { narrationMs, wordCount } from '../lesson/settings.js';
import type { BeatTime } from '../run/beat-times.js';

/** Kinds of beats whose time is what is said, give or take a moment to look. */
const SPOKEN: ReadonlySet<string> = new Set([
  'say',
  'set',
  'mark',
  'layers',
  'worked-example',
  'mistake',
  'possible',
  'missing-hand',
  'chart',
]);
/** So many words tell how fast somebody speaks; fewer may be one long breath. */
const FEWEST_WORDS = 40;
/** The paces that a lesson may have, in words a minute, and in what steps one is told. */
const [SLOWEST, FASTEST, STEP] = [60, 240, 5];

/** Less of its plan than this, and a beat was passed over rather than taught. */
const PASSED_OVER = 0.25;

/** Whether the time of a beat tells how long it takes: it was reached, and not only passed over. */
export function wasTaught({ plannedMs, actualMs }: BeatTime): boolean {
  return actualMs !== null && actualMs >= plannedMs * PASSED_OVER;
}

/** What every beat took becomes its plan; beats that were not taught keep theirs. */
export function takeTimes(times: readonly BeatTime[]): ScriptEdit {
  return (lesson) =>
    times.reduce((changed, time) => {
      const { beatId, actualMs } = time;
      if (actualMs === null || !wasTaught(time)) return changed;
      return changeBeat(beatId, { plannedSec: Math.min(3600, Math.max(1, Math.round(actualMs / 1000))) })(changed);
    }, lesson);
}

/**
 * How fast somebody spoke who taught or rehearsed a lesson, in words a minute: the words of all beats that are talk alone by the
 * time they took, without the moments to look that the plan adds to them.
 * @returns null where too little was said to tell
 */
export function measuredPace({ steps, lesson }: PreparedLesson, times: readonly BeatTime[]): number | null {
  let [words, spentMs] = [0, 0];
  for (const time of times) {
    const { beatId, actualMs } = time;
    const own = steps.filter(({ ref }) => ref.beatId === beatId);
    if (actualMs === null || !wasTaught(time) || !own[0] || !SPOKEN.has(own[0].kind)) continue;
    const texts = own.map(({ beat }) => ('text' in beat ? beat.text : ''));
    const said = texts.reduce((sum, text) => sum + wordCount(text), 0);
    const saidMs = texts.reduce((sum, text) => sum + narrationMs(text, lesson.settings), 0);
    const plannedMs = own.reduce((sum, { beat, context }) => sum + beatKindOf(beat).durationMs(beat, context), 0);
    const talkMs = actualMs - (plannedMs - saidMs);
    if (said === 0 || talkMs <= 0) continue;
    words += said;
    spentMs += talkMs;
  }
  if (words < FEWEST_WORDS) return null;
  const pace = Math.round((words * 60_000) / spentMs / STEP) * STEP;
  return Math.min(FASTEST, Math.max(SLOWEST, pace));
}
